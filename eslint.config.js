import hooks from 'eslint-plugin-react-hooks'
import {defineConfig} from 'eslint/config'
import {configs} from 'typescript-eslint'

export default defineConfig(
  {ignores: ['.cache/**', 'resources/js/lib/schema.d.ts', 'public/**', 'vendor/**']},
  ...configs.strictTypeChecked,
  hooks.configs.flat.recommended,
  {
    languageOptions: {parserOptions: {projectService: true}},
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', {allowNumber: true}],
      'max-len': ['error', {code: 120, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreRegExpLiterals: true}],
      '@typescript-eslint/no-confusing-void-expression': ['error', {ignoreArrowShorthand: true}],
    },
  },
)
