import { CAPITAL, cellsOf, DOTS, NUMERIC, PUNCTUATION } from './nemeth'

/** Written lines in one of two codes for mathematics. */
export const CODES = ['nemeth', 'ueb'] as const
export type BrailleCode = (typeof CODES)[number]

/** Signs of Unified English Braille (rules of UEB and its guidelines for technical material; from memory). */
const UEB_SIGNS: Readonly<Record<string, readonly string[]>> = {
  '+': ['5', '235'],
  '−': ['5', '36'],
  '×': ['5', '236'],
  '÷': ['5', '34'],
  '=': ['5', '2356'],
  '<': ['4', '126'],
  '>': ['4', '345'],
  '(': ['5', '126'],
  ')': ['5', '345'],
  '/': ['456', '34'],
}
/** Digits are the letters a to j after a numeric indicator. */
const UEB_DIGITS = [...'jabcdefghi'].map((letter) => DOTS.get(letter)!)
const [POINT, COMMA, FRACTION_LINE, GRADE_1] = ['256', '2', '34', '56']
const TOKENS = /(\d+)\/(\d+)|\d+(?:[.,]\d+)*|[^]/gu

const uebDigits = (number: string): readonly string[] =>
  Array.from(number, (c) => (c === '.' ? POINT : c === ',' ? COMMA : UEB_DIGITS[Number(c)]!))

function uebCells(text: string): readonly string[] {
  const cells: string[] = []
  let counting = false
  for (const [token, top, bottom] of text.matchAll(TOKENS)) {
    if (top && bottom) {
      cells.push(NUMERIC, ...uebDigits(top), FRACTION_LINE, ...uebDigits(bottom))
      counting = true
    } else if (/^\d/.test(token)) {
      cells.push(NUMERIC, ...uebDigits(token))
      counting = true
    } else if (token === ' ') {
      cells.push('')
      counting = false
    } else if (UEB_SIGNS[token]) {
      cells.push(...UEB_SIGNS[token])
      counting = false
    } else {
      const letter = DOTS.get(token.toLowerCase())
      // A letter a to j right after a number would be read as a digit.
      if (letter && counting && /[a-j]/.test(token)) cells.push(GRADE_1)
      if (letter) cells.push(...(token === token.toLowerCase() ? [] : [CAPITAL]), letter)
      else if (PUNCTUATION[token]) cells.push(...PUNCTUATION[token])
      counting = false
    }
  }
  return cells
}

/** Signs that no cell stands for here, so that they are told instead of being left out. */
const unknownIn = (text: string): readonly string[] => [
  ...new Set(
    [...text].filter((c) => !/[\s\d]/.test(c) && !UEB_SIGNS[c] && !DOTS.get(c.toLowerCase()) && !PUNCTUATION[c]),
  ),
]

/**
 * A line as it is written in print (`52 − 37 = 15`) in cells. In the Nemeth code signs of operation stand close; in UEB they are spaced as
 * in print, as for those who begin. `unknown` are signs that have no cells here.
 */
export function brailleLine(
  text: string,
  code: BrailleCode,
): { readonly cells: readonly string[]; readonly unknown: readonly string[] } {
  const unknown = unknownIn(text)
  const known = [...text].filter((c) => !unknown.includes(c)).join('')
  const close = known.replace(/(?<=[\d)]) ([+−×÷]) (?=[\d(−])/gu, '$1')
  return { cells: code === 'nemeth' ? cellsOf(close) : uebCells(known), unknown }
}
