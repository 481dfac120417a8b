import './tools/node20.mjs'
import prettier from 'eslint-config-prettier'
import { BARE_WORDS, controlsRule, RAW_CONTROLS, ROOMS_OF_MATS, wordsRule } from './tools/moving.mjs'
import withNuxt from './.nuxt/eslint.config.mjs'

/** A file by its name as a pattern: brackets in it are no choice of letters. */
const literal = (file) => file.replace(/[[\]]/g, '\\$&')

export default withNuxt(
  prettier,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'no-console': ['error', { allow: ['error'] }],
    },
  },
  {
    files: ['app/**/*.vue'],
    ignores: [...ROOMS_OF_MATS, ...RAW_CONTROLS.map(literal)],
    rules: { 'vue/no-restricted-html-elements': controlsRule },
  },
  {
    files: ['app/**/*.vue'],
    ignores: [...ROOMS_OF_MATS, ...BARE_WORDS.map(literal)],
    rules: { 'vue/no-bare-strings-in-template': wordsRule },
  },
  { files: ['tools/**'], rules: { 'no-console': 'off' } },
)
