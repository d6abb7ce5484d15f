import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'
import parser from 'vue-eslint-parser'

/** Which folder of the front end may use which: the same arrows as in docs/ARCHITECTURE.md. */
const uses = {
  plan: [],
  api: ['plan'],
  ui: ['api', 'plan'],
  session: ['api', 'ui'],
  stock: ['api', 'session', 'ui', 'plan'],
  document: ['api', 'session', 'stock', 'ui'],
  bench: ['api', 'document', 'plan', 'session', 'stock', 'styles', 'ui'],
  surface: ['api', 'document', 'plan', 'session', 'ui'],
  elevation: ['api', 'document', 'plan', 'session', 'surface', 'ui'],
  designs: ['api', 'document', 'session', 'stock', 'surface', 'ui'],
  styles: ['api', 'document', 'plan', 'session', 'stock', 'ui'],
  acts: ['api', 'session', 'ui'],
  handoff: ['acts', 'plan', 'api', 'session', 'ui'],
  shell: ['acts', 'api', 'session', 'stock', 'ui'],
  player: ['plan'],
}
const folders = Object.keys(uses)
const boundary = (folder) => ({
  files: [`**/src/${folder}/**`],
  rules: {
    'no-restricted-imports': ['error', {
      patterns: [{
        regex: `^(\\.\\./)+(${folders.filter((other) => other !== folder && !uses[folder].includes(other)).join('|')})/`,
        message: `${folder}/ may use only: ${uses[folder].join(', ') || 'nothing'}.`,
      }, ...folder === 'bench' ? [{
        regex: '/api/client$',
        importNames: ['call'],
        message: 'The bench asks through the functions of api/.',
      }] : []],
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
      'max-lines': ['error', { max: 320 }],
      // Words come from the catalogue; these are signs, units and keys.
      'vue/no-bare-strings-in-template': ['error', { allowlist: ['px', 'mm', 'in', 'm', 'ms', 's', 'Hz', '×', '·', '–', '—', '−', '+', ':', ',', '.', '°', '%', '?', '(', ')', '/', '|', '-', '↓', '→', '#', 'G', '“', '”', '…', 'Esc', 'Upper Pane', 'EDID', '1 :', '✓', '″', 'px/in'] }],
    },
  },
  { files: ['**/*.ts'], rules: { 'max-len': ['error', { code: 120 }] } },
  { files: ['**/*.vue'], rules: { 'max-len': ['error', { code: 140 }] } },
  ...folders.map(boundary),
)
