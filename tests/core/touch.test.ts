import fc from 'fast-check'
import { DEFAULT_CHOICES } from '../../core/choices'
import { plan } from '../../core/plan/plan'
import { parseProblem } from '../../core/problem/problem'
import { answered, belowAt, topAt, type ColumnsMove, type ColumnsState } from '../../core/representation/columns/state'
import { REPRESENTATIONS } from '../../core/representation/index'
import type { Representation } from '../../core/representation/representation'
import { notchesIn, notchesOf, parseNotchMap, placed, type NotchMap } from '../../core/representation/touch/notches'
import { PEN_PATHS, svgOf, type Stroke } from '../../core/representation/touch/paths'

const DIGITS = [1, 2, 3, 4, 5, 6, 7, 8, 9]

/**
 * The length of a stroke by Gauss–Legendre quadrature of its speed: another way than walking it in straight steps.
 * Nodes and weights of five points, as in handbooks of numerical tables (from memory).
 */
function lengthByQuadrature({ from, to }: Stroke): number {
  const nodes = [0, 0.5384693101056831, -0.5384693101056831, 0.906179845938664, -0.906179845938664]
  const weights = [
    0.5688888888888889, 0.47862867049936647, 0.47862867049936647, 0.23692688505618908, 0.23692688505618908,
  ]
  let [x, y] = [from.x, from.y]
  let sum = 0
  for (const p of to) {
    if (p.length === 2) sum += Math.hypot(p[0]! - x, p[1]! - y)
    else
      for (let part = 0; part < 8; part++)
        nodes.forEach((node, i) => {
          const t = (part + (node + 1) / 2) / 8
          const d = (a: number, b: number, c: number, e: number): number =>
            3 * (1 - t) ** 2 * (b - a) + 6 * (1 - t) * t * (c - b) + 3 * t * t * (e - c)
          sum += (weights[i]! / 16) * Math.hypot(d(x, p[0]!, p[2]!, p[4]!), d(y, p[1]!, p[3]!, p[5]!))
        })
    ;[x, y] = p.slice(-2) as [number, number]
  }
  return sum
}

test.each(DIGITS)('the notches of %i count what it says, doubles before a last single', (digit) => {
  const notches = notchesOf(digit)
  expect(notches.reduce((sum, n) => sum + n.counts, 0)).toBe(digit)
  expect(notches).toHaveLength(digit <= 5 ? digit : Math.ceil(digit / 2))
  expect(notches.slice(0, -1).every((n) => n.counts === (digit <= 5 ? 1 : 2))).toBe(true)
})

test('nought has none', () => expect(notchesOf(0)).toEqual([]))

test.each(DIGITS)(
  'the notches of %i stand at the stated fractions of the pen’s way, and not near a stroke’s end',
  (digit) => {
    const strokes = PEN_PATHS[digit]!
    const lengths = strokes.map(lengthByQuadrature)
    const total = lengths.reduce((a, b) => a + b, 0)
    placed(digit).forEach((notch, i, all) => {
      let at = ((i + 0.5) / all.length) * total
      let n = 0
      while (at > lengths[n]!) at -= lengths[n++]!
      expect(Math.min(at, lengths[n]! - at) / lengths[n]!).toBeGreaterThan(0.08)
      // The point lies on the stroke at just that distance from where the pen was put down.
      const found = pointAt(strokes[n]!, at)
      expect(Math.hypot(found.x - notch.x, found.y - notch.y)).toBeLessThan(0.6)
      expect(Math.hypot(notch.across.x, notch.across.y)).toBeCloseTo(1)
    })
  },
)

/** The point at a distance along a stroke, found by cutting its curves ever finer (2,000 steps each). */
function pointAt({ from, to }: Stroke, distance: number): { x: number; y: number } {
  let [x, y] = [from.x, from.y]
  let left = distance
  for (const p of to) {
    const [x0, y0] = [x, y]
    const steps = 2000
    for (let i = 1; i <= steps; i++) {
      const t = i / steps
      const mix = (a: number, b: number, c: number, d: number): number => {
        const [ab, bc, cd] = [a + (b - a) * t, b + (c - b) * t, c + (d - c) * t]
        const [abc, bcd] = [ab + (bc - ab) * t, bc + (cd - bc) * t]
        return abc + (bcd - abc) * t
      }
      const [nx, ny] =
        p.length === 2
          ? [x0 + (p[0]! - x0) * t, y0 + (p[1]! - y0) * t]
          : [mix(x0, p[0]!, p[2]!, p[4]!), mix(y0, p[1]!, p[3]!, p[5]!)]
      const step = Math.hypot(nx - x, ny - y)
      if (step >= left) return { x: nx, y: ny }
      left -= step
      ;[x, y] = [nx, ny]
    }
  }
  return { x, y }
}

test('every numeral is drawn inside its box', () => {
  for (const strokes of Object.values(PEN_PATHS))
    for (const s of strokes) {
      expect(svgOf(s)).toMatch(/^M[\d. ]+([LC][\d. ]+)+$/)
      for (const p of s.to) expect(p.every((n) => n >= 0 && n <= 141)).toBe(true)
    }
})

test('a class’s own notches come back as they were, and keep each digit’s total', () => {
  const notch = fc.record({
    counts: fc.constantFrom(1 as const, 2 as const),
    at: fc.double({ min: 0, max: 1, noNaN: true }),
    aside: fc.integer({ min: -40, max: 40 }),
  })
  fc.assert(
    fc.property(fc.array(notch, { minLength: 1, maxLength: 9 }), (notches) => {
      const total = notches.reduce((sum, n) => sum + n.counts, 0)
      const digit = Math.min(9, total)
      const map: NotchMap = {
        format: 'sett-notches',
        version: 1,
        digits: { [digit]: [...notches].sort((a, b) => a.at - b.at) },
      }
      const read = (): NotchMap => parseNotchMap(JSON.parse(JSON.stringify(map)))
      if (total !== digit) return expect(read).toThrow(`The notches of 9 count ${total}. They must count 9.`)
      expect(read()).toEqual(map)
      expect(notchesIn(read(), digit)).toHaveLength(notches.length)
      expect(notchesIn(read(), digit === 1 ? 2 : 1)).toEqual(notchesOf(digit === 1 ? 2 : 1))
    }),
  )
  expect(() => parseNotchMap({})).toThrow('not a file of notches')
  expect(() => parseNotchMap({ format: 'sett-notches', version: 2, digits: {} })).toThrow('version 2')
  expect(() => parseNotchMap({ format: 'sett-notches', version: 1, digits: { x: [] } })).toThrow('not a numeral')
  expect(() => parseNotchMap({ format: 'sett-notches', version: 1, digits: { 3: [{ counts: 3 }] } })).toThrow(
    'notches of 3 are not',
  )
})

test('in columns the touched digit is the same one before and after its column is answered', () => {
  const r = REPRESENTATIONS['touch-columns'] as Representation<ColumnsState, ColumnsMove>
  fc.assert(
    fc.property(fc.tuple(fc.nat(999), fc.nat(999), fc.boolean()), ([a, b, adds]) => {
      const text = adds ? `${a} + ${b}` : `${Math.max(a, b)} - ${Math.min(a, b)}`
      const problem = parseProblem(text)
      if (!r.fits(problem).fits) return
      const moves = plan({ problem, representation: 'touch-columns' }).steps.flatMap(
        (s) => s.moves['touch-columns'] ?? [],
      )
      const end = (moves as readonly ColumnsMove[]).reduce(r.apply, r.start(problem, DEFAULT_CHOICES))
      for (let p = 0; p < end.width; p++) {
        const below = belowAt(end, p)
        if (below === 0) continue
        expect(answered(end, p)).toBe(true)
        const touched = adds ? Math.min(topAt(end, p), below) : below
        expect([text, p, end.said.filter((s) => s.place === p).length]).toEqual([text, p, touched])
      }
    }),
    { numRuns: 200 },
  )
})
