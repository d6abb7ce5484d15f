import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'
import parser from 'vue-eslint-parser'

/** Which folder of the front end may use which: the same arrows as in docs/ARCHITECTURE.md. */
const uses = {
  plan: [],
  api: ['plan'],
  ui: ['api', 'plan', 'session', 'stock'],
  session: ['api', 'ui'],
  stock: ['api', 'session', 'ui', 'plan'],
  bench: ['api', 'plan', 'session', 'stock', 'ui'],
  surface: ['api', 'plan', 'session', 'ui'],
  elevation: ['api', 'plan', 'session', 'surface', 'ui'],
  handoff: ['api', 'session', 'ui'],
  player: ['plan'],
}
const folders = Object.keys(uses)
const boundary = (folder) => ({
  files: [`**/src/${folder}/**`],
  rules: {
    'no-restricted-imports': ['error', {
      patterns: [{
        group: folders.filter((other) => other !== folder && !uses[folder].includes(other)).map((other) => `../${other}/*`),
        message: `${folder}/ may use only: ${uses[folder].join(', ') || 'nothing'}.`,
      }],
    }],
  },
})

export default ts.config(
  ...ts.configs.strict,
  ...vue.configs['flat/essential'],
  {
    files: ['**/*.ts', '**/*.vue'],
    languageOptions: { parser, parserOptions: { parser: ts.parser, extraFileExtensions: ['.vue'] } },
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      'max-lines': ['error', { max: 300 }],
    },
  },
  ...folders.map(boundary),
)
