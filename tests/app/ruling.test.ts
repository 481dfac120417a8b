import fc from 'fast-check'
import { marksOf, ruled } from '../../core/representation/line/ruling'

const WIDTHS = [320, 900, 1800]
const numbers = fc.array(fc.integer({ min: -9999, max: 9999 }), { minLength: 1, maxLength: 4 })

test('a line reaches past its numbers and nought, its marks can be told apart, and a mark is where it is pointed to', () => {
  fc.assert(
    fc.property(numbers, fc.constantFrom(1, 2, 4, 5, 8, 10, 100), fc.constantFrom(...WIDTHS), (all, parts, width) => {
      const shown = all.map((n) => n / parts)
      const line = ruled(shown, parts, width)
      for (const n of [0, ...shown]) {
        expect(line.from).toBeLessThanOrEqual(n)
        expect(line.to).toBeGreaterThanOrEqual(n)
        expect(line.x(n)).toBeGreaterThanOrEqual(40)
        expect(line.x(n)).toBeLessThanOrEqual(width - 40)
      }
      const marks = marksOf(line)
      expect(marks.length).toBeLessThan(width / 6)
      expect(marks.some((m) => m.n === 0 && m.long)).toBe(true)
      const long = marks.filter((m) => m.long).map((m) => line.x(m.n))
      for (let i = 1; i < long.length; i++) expect(long[i]! - long[i - 1]!).toBeGreaterThan(40)
      for (const m of marks) expect(line.nearest(line.x(m.n))).toBeCloseTo(m.n, 9)
    }),
  )
})

test('it is ruled in halves or eighths where there is room, and in ones where there is not', () => {
  expect(ruled([-2, 3], 2, 900).mark).toBe(0.5)
  expect(ruled([0, 1], 8, 900).mark).toBe(0.125)
  expect(ruled([-60, 0], 8, 900).mark).toBe(1)
})

test('it is legible from −31 to 5 and from nought to 1', () => {
  const wide = ruled([-31, 5], 1, 900)
  expect([wide.mark, wide.labelled]).toEqual([1, 5])
  const narrow = ruled([0.3, 0.75], 100, 900)
  expect(narrow.mark).toBeLessThanOrEqual(0.02)
  expect(narrow.labelled).toBeLessThanOrEqual(0.1)
})
