import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import { defineConfig } from 'eslint/config'
import ts from 'typescript-eslint'

export default defineConfig(
  { ignores: ['gen/contract.d.ts', 'node_modules'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
  {
    rules: {
      // vue-tsc knows the browser's names better than a list of globals.
      'no-undef': 'off',
      'vue/multi-word-component-names': 'off',
      // Dependencies point downwards: places -> components -> logic, and places -> composables and stores -> api and logic.
      'vue/no-v-html': 'error',
    },
  },
  {
    files: ['src/logic/**', 'src/api/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['vue', '@/stores/*', '../stores/*', '../components/*', '../places/*'] }] },
  },
  {
    files: ['src/stores/**', 'src/composables/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['../components/*', '../places/*'] }] },
  },
  {
    // A component is given what it shows and says what happened; it fetches nothing.
    files: ['src/components/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['../places/*', '../stores/*', '../api/client'] }] },
  },
  prettier,
)
