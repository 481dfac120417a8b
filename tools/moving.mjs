/**
 * Pages whose controls or words are still to be moved: their controls into PrimeVue, their words into app/locales. The lists only shrink;
 * `npm run lint` prints what is left of them, and refuses a file that is on one without need.
 */
import { readFileSync } from 'node:fs'

const lists = JSON.parse(readFileSync(new URL('moving.json', import.meta.url), 'utf8'))
/** Files that still have raw controls, and files that still have words in their templates. */
export const RAW_CONTROLS = lists.controls
export const BARE_WORDS = lists.words

/** Where controls are ours: mats, stones and written pages. */
export const ROOMS_OF_MATS = ['app/components/mats/**', 'app/components/maths/**']

const CONTROLS = ['button', 'input', 'select', 'textarea', 'table', 'dialog', 'details']
export const controlsRule = [
  'error',
  ...CONTROLS.map((element) => ({ element, message: `Take PrimeVue’s control instead of <${element}>.` })),
]
/** Signs that are no words of a language. */
const SIGNS = [
  '×',
  '÷',
  '−',
  '+',
  '=',
  '·',
  '–',
  '…',
  '→',
  '←',
  '↑',
  '↓',
  '✓',
  '▸',
  '▾',
  '◂',
  '(',
  ')',
  ',',
  '.',
  ':',
  ';',
  '“',
  '”',
  '/',
  '?',
  '*',
  '<',
  '>',
  '%',
  '-',
]
export const wordsRule = ['error', { allowlist: SIGNS }]
