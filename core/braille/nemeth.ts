/**
 * Uncontracted English letters (Unified English Braille, grade 1) with digits and signs of the Nemeth code, both from memory. A cell is
 * given by its raised dots: 1, 2, 3 down the left, 4, 5, 6 down the right; a space by ''.
 */

const LETTERS =
  'a1 b12 c14 d145 e15 f124 g1245 h125 i24 j245 k13 l123 m134 n1345 o135 p1234 q12345 r1235 s234 t2345 u136 v1236 w2456 x1346 y13456 z1356'
export const DOTS: ReadonlyMap<string, string> = new Map(LETTERS.split(' ').map((s) => [s[0]!, s.slice(1)]))

/** Digits of the Nemeth code stand in the lower part of the cell. */
const DIGITS = ['356', '2', '23', '25', '256', '26', '235', '2356', '236', '35']
export const NUMERIC = '3456'
export const CAPITAL = '6'
/** Signs of operation stand close, signs of comparison between spaces (Nemeth code, from memory). */
const SIGNS: Readonly<Record<string, readonly string[]>> = {
  '+': ['346'],
  '−': ['36'],
  '×': ['4', '16'],
  '÷': ['46', '34'],
  '=': ['46', '13'],
  '<': ['5', '13'],
  '>': ['46', '2'],
  '(': ['12356'],
  ')': ['23456'],
  '/': ['34'],
}
export const PUNCTUATION: Readonly<Record<string, readonly string[]>> = {
  ',': ['2'],
  ';': ['23'],
  ':': ['25'],
  '.': ['256'],
  '?': ['236'],
  '!': ['235'],
  '-': ['36'],
  '–': ['36'],
  '’': ['3'],
  '“': ['236'],
  '”': ['356'],
  '·': ['16'],
}
const [DECIMAL_POINT, COMMA_IN_NUMBER, PUNCTUATION_AFTER_NUMBER] = ['46', '6', '456']
/** How a fraction opens, its line, and how it closes; of a mixed number it opens and closes with one cell more. */
const FRACTION = { open: '1456', line: '34', close: '3456', mixed: '456' } as const

const digitsOf = (number: string): readonly string[] =>
  Array.from(number, (c) => (c === '.' ? DECIMAL_POINT : c === ',' ? COMMA_IN_NUMBER : DIGITS[Number(c)]!))

/** What is read at once: a mixed number or a fraction, a number, or any other sign. */
const TOKENS = /(?:(\d+) )?(\d+)\/(\d+)|\d+(?:[.,]\d+)*|[^]/gu

/** The cells of a text, each as its dots, '' for a space. What has no sign here is left out. */
export function cellsOf(text: string): readonly string[] {
  const cells: string[] = []
  // Whether a number has been begun, after which digits go on without a further numeric indicator.
  let counting = false
  for (const [token, whole, top, bottom] of text.matchAll(TOKENS)) {
    if (top && bottom) {
      const around = whole ? [FRACTION.mixed] : []
      if (whole) cells.push(...(counting ? [] : [NUMERIC]), ...digitsOf(whole))
      cells.push(
        ...around,
        FRACTION.open,
        ...digitsOf(top),
        FRACTION.line,
        ...digitsOf(bottom),
        ...around,
        FRACTION.close,
      )
      counting = true
    } else if (/^\d/.test(token)) {
      cells.push(...(counting ? [] : [NUMERIC]), ...digitsOf(token))
      counting = true
    } else if (SIGNS[token]) {
      cells.push(...SIGNS[token])
      counting &&= !'=<>'.includes(token)
    } else if (token === ' ') {
      cells.push('')
      counting = false
    } else {
      const letter = DOTS.get(token.toLowerCase())
      if (letter) cells.push(...(token === token.toLowerCase() ? [] : [CAPITAL]), letter)
      else if (PUNCTUATION[token]) cells.push(...(counting ? [PUNCTUATION_AFTER_NUMBER] : []), ...PUNCTUATION[token])
      counting = false
    }
  }
  return cells
}

/** A single digit as it stands in a square of a column sheet, where none has an indicator. */
export const digitCell = (digit: number): string => DIGITS[digit]!
