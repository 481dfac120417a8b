import fc from 'fast-check'
import {
  brailleLine,
  CODES,
  folded,
  fromUnicode,
  PAGE,
  readBrf,
  spatialAddition,
  spatialSubtraction,
  toAscii,
  toBrf,
  toUnicode,
} from '../../core/braille/index'

/** Braille: cells there and back, pages that a machine takes, and columns in space that add up. */

const ALL = Array.from({ length: 64 }, (_, n) => [1, 2, 3, 4, 5, 6].filter((d) => n & (2 ** (d - 1))).join(''))
const cell = fc.constantFrom(...ALL)
const line = fc.array(cell, { maxLength: 90 })

test('every cell goes to Unicode and back, and to a character of its own', () => {
  expect(fromUnicode(toUnicode(ALL))).toEqual(ALL)
  expect(new Set(toAscii(ALL)).size).toBe(64)
})

test('a file for an embosser is never wider or longer than its page, and holds every cell in its order', () => {
  fc.assert(
    fc.property(fc.array(fc.array(line, { minLength: 1, maxLength: 30 }), { maxLength: 4 }), (blocks) => {
      const read = readBrf(toBrf(blocks))
      if ('refused' in read) throw new Error(read.refused)
      for (const page of read.pages) {
        expect(page.length).toBeLessThanOrEqual(PAGE.down)
        for (const l of page) expect(l.length).toBeLessThanOrEqual(PAGE.across)
      }
      const raised = (lines: readonly (readonly string[])[]): string =>
        lines
          .flat()
          .filter((c) => c !== '')
          .join(' ')
      expect(raised(read.pages.flat())).toBe(raised(blocks.flat()))
    }),
  )
})

test('a long line is broken at a space where there is one', () => {
  const word = (n: number): string[] => Array<string>(n).fill('1')
  expect(folded([...word(5), '', ...word(4)], 8).map((l) => l.length)).toEqual([5, 6])
  expect(folded(word(20), 8).map((l) => l.length)).toEqual([8, 8, 8])
  expect(folded(word(8), 8)).toEqual([word(8)])
})

test('the stand-in machine says what it cannot emboss', () => {
  expect(readBrf(`${'A'.repeat(41)}\r\n`)).toEqual({ refused: 'Page 1, line 1 has 41 cells; the machine has 40.' })
  expect(readBrf('A\r\n'.repeat(26))).toEqual({ refused: 'Page 1 has 26 lines; the machine has 25.' })
  expect(readBrf('A\r\n\fB~\r\n')).toEqual({ refused: 'Page 2, line 1: “~” stands for no cell.' })
})

test('in UEB a letter after a number cannot be taken for a digit; what has no cell is told', () => {
  const ueb = (text: string): string => toUnicode(brailleLine(text, 'ueb').cells)
  expect(ueb('3a')).toBe('⠼⠉⠰⠁')
  expect(ueb('3r')).toBe('⠼⠉⠗')
  for (const code of CODES) expect(brailleLine('5 € + 2', code).unknown).toEqual(['€'])
})

/** Digits of a row, by column from the right, whatever stands around them. */
const DIGIT = ['356', '2', '23', '25', '256', '26', '235', '2356', '236', '35']
const numberIn = (row: readonly string[]): bigint =>
  BigInt(
    row
      .map((c) => DIGIT.indexOf(c))
      .filter((n) => n >= 0)
      .join('') || '0',
  )
test('columns in space: all lines are equally wide, the sum is right, and digits stand under each other', () => {
  const whole = fc.integer({ min: 0, max: 999_999 }).map(String)
  fc.assert(
    fc.property(fc.array(whole, { minLength: 2, maxLength: 30 }), (numbers) => {
      const rows = spatialAddition(numbers)
      // Every cell is there: also where a column carries ten or more to the next.
      for (const cell of rows.flat()) expect(typeof cell).toBe('string')
      expect(new Set(rows.map((r) => r.length)).size).toBe(1)
      const sum = numbers.reduce((n, x) => n + BigInt(x), 0n)
      expect(numberIn(rows.at(-1)!)).toBe(sum)
      const own = rows.slice(-2 - numbers.length, -2)
      // The plus sign is no digit; each addend ends in the ones.
      own.forEach((row, i) => {
        expect(numberIn(row)).toBe(BigInt(numbers[i]!))
        expect(DIGIT).toContain(row.at(-2))
      })
    }),
  )
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 999_999 }), fc.integer({ min: 0, max: 999_999 }), (a, b) => {
      const [more, less] = [Math.max(a, b), Math.min(a, b)]
      const rows = spatialSubtraction(String(more), String(less))
      expect(new Set(rows.map((r) => r.length)).size).toBe(1)
      expect(numberIn(rows.at(-1)!)).toBe(BigInt(more - less))
      expect(numberIn(rows.at(-3)!)).toBe(BigInt(less))
      expect(numberIn(rows.at(-4)!)).toBe(BigInt(more))
    }),
  )
  expect(() => spatialSubtraction('37', '52')).toThrow('In columns the greater number stands above.')
  expect(() => spatialAddition(['1/2', '3'])).toThrow('Columns in space are of whole numbers here.')
})
