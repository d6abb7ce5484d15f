import boundaries from 'eslint-plugin-boundaries'
import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'
import parser from 'vue-eslint-parser'

/** Which folder of the front end may use which: the same arrows as in docs/ARCHITECTURE.md. */
const uses = {
  plan: [],
  api: ['plan'],
  ui: ['api', 'session', 'stock'],
  session: ['api', 'ui'],
  stock: ['api', 'session', 'ui', 'plan'],
  bench: ['api', 'plan', 'session', 'stock', 'ui'],
  elevation: ['api', 'plan', 'session', 'ui'],
  handoff: ['api', 'session', 'ui'],
  player: ['plan'],
}
const folders = Object.keys(uses)

export default ts.config(
  ...ts.configs.strict,
  ...vue.configs['flat/essential'],
  {
    files: ['**/*.ts', '**/*.vue'],
    languageOptions: { parser, parserOptions: { parser: ts.parser, extraFileExtensions: ['.vue'] } },
    plugins: { boundaries },
    settings: { 'boundaries/elements': folders.map((type) => ({ type, pattern: `frontend/src/${type}/*`, partialMatch: false })) },
    rules: {
      'boundaries/dependencies': ['error', { default: 'disallow', policies: folders.map((type) => ({ from: { element: { type } }, allow: { to: { element: { type: [type, ...uses[type]] } } } })) }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      'max-lines': ['error', { max: 300 }],
    },
  },
)
