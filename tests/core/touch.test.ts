import fc from 'fast-check'
import { DEFAULT_CHOICES } from '../../core/choices'
import { plan } from '../../core/plan/plan'
import { parseProblem } from '../../core/problem/parse'
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

test.each(DIGITS)(
  'the notches of %i are as many as it says, in pen order; from 6 on five of them are a comb',
  (digit) => {
    const notches = notchesOf(digit)
    expect(notches).toHaveLength(digit)
    expect(notches.map((n) => n.at)).toEqual(notches.map((n) => n.at).sort((a, b) => a - b))
    const teeth = placed(digit).filter((n) => n.tooth)
    expect(teeth).toHaveLength(digit > 5 ? 5 : 0)
    if (digit < 6) return
    // The comb comes first, and its teeth stand closer than any other two notches.
    expect(placed(digit).findIndex((n) => n.tooth)).toBe(0)
    const gaps = notches.slice(1).map((n, i) => n.at - notches[i]!.at)
    expect(Math.max(...gaps.slice(0, 4))).toBeLessThan(Math.min(...gaps.slice(4)))
  },
)

test('nought has none', () => expect(notchesOf(0)).toEqual([]))

test('where nothing is in the way, notches stand at (i + ½)/d of the pen’s way', () => {
  for (const digit of [1, 5]) notchesOf(digit).forEach((n, i) => expect(n.at).toBeCloseTo((i + 0.5) / digit, 2))
  expect(notchesOf(3)[0]!.at).toBeCloseTo(1 / 6, 2)
  expect(
    notchesOf(7)
      .slice(5)
      .map((n) => n.at),
  ).toEqual([expect.closeTo(5.5 / 7, 2), expect.closeTo(6.5 / 7, 2)])
})

test.each(DIGITS)(
  'each notch of %i lies on the pen’s way at its fraction, and no bar reaches another stroke or a corner',
  (digit) => {
    const strokes = PEN_PATHS[digit]!
    const lengths = strokes.map(lengthByQuadrature)
    const total = lengths.reduce((a, b) => a + b, 0)
    const corners = strokes.flatMap((s) => s.to.slice(0, -1).map((p, i) => [p.slice(-2), turn(s, i)] as const))
    for (const notch of placed(digit)) {
      let at = notch.at * total
      let n = 0
      while (at > lengths[n]!) at -= lengths[n++]!
      expect(Math.min(at, lengths[n]! - at)).toBeGreaterThan(5)
      const found = pointAt(strokes[n]!, at)
      expect(Math.hypot(found.x - notch.x, found.y - notch.y)).toBeLessThan(1)
      expect(Math.hypot(notch.across.x, notch.across.y)).toBeCloseTo(1)
      for (const [[x, y], angle] of corners)
        if (angle > 40) expect(Math.hypot(x! - notch.x, y! - notch.y)).toBeGreaterThan(10)
      // Everywhere else on the numeral keeps more than half a bar away.
      for (const [m, stroke] of strokes.entries())
        for (let d = 0; d < lengths[m]!; d += 3) {
          if (m === n && Math.abs(d - at) < 40) continue
          const p = pointAt(stroke, d)
          expect([digit, Math.hypot(p.x - notch.x, p.y - notch.y) > 13]).toEqual([digit, true])
        }
    }
  },
)

/** By how many degrees the pen turns between one piece of a stroke and the next. */
function turn({ from, to }: Stroke, i: number): number {
  const end = to[i]!.slice(-2)
  const start = i === 0 ? [from.x, from.y] : to[i - 1]!.slice(-2)
  const into = to[i]!.length === 2 ? start : to[i]!.slice(2, 4)
  const out = to[i + 1]!.slice(0, 2)
  const angle = Math.atan2(out[1]! - end[1]!, out[0]! - end[0]!) - Math.atan2(end[1]! - into[1]!, end[0]! - into[0]!)
  const degrees = Math.abs((angle * 180) / Math.PI) % 360
  return Math.min(degrees, 360 - degrees)
}

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
    at: fc.double({ min: 0, max: 1, noNaN: true }),
    aside: fc.integer({ min: -40, max: 40 }),
  })
  fc.assert(
    fc.property(fc.array(notch, { minLength: 1, maxLength: 9 }), fc.integer({ min: 1, max: 9 }), (notches, digit) => {
      const map: NotchMap = {
        format: 'sett-notches',
        version: 2,
        digits: { [digit]: [...notches].sort((a, b) => a.at - b.at) },
      }
      const read = (): NotchMap => parseNotchMap(JSON.parse(JSON.stringify(map)))
      if (notches.length !== digit)
        return expect(read).toThrow(`The notches of ${digit} count ${notches.length}. They must count ${digit}.`)
      expect(read()).toEqual(map)
      expect(notchesIn(read(), digit)).toHaveLength(digit)
      expect(notchesIn(read(), digit === 1 ? 2 : 1)).toEqual(notchesOf(digit === 1 ? 2 : 1))
    }),
  )
  expect(() => parseNotchMap({})).toThrow('not a file of notches')
  expect(() => parseNotchMap(null)).toThrow('not a file of notches')
  expect(() => parseNotchMap({ format: 'sett-notches', version: 3, digits: {} })).toThrow('version 3')
  expect(() => parseNotchMap({ format: 'sett-notches', version: 2, digits: { x: [] } })).toThrow('not a numeral')
  expect(() =>
    parseNotchMap({ format: 'sett-notches', version: 2, digits: { 2: [{ at: 0, aside: 0, counts: 2 }] } }),
  ).toThrow('notches of 2 are not')
})

test('marks of an earlier version that counted two become two notches side by side', () => {
  const old = {
    format: 'sett-notches',
    version: 1,
    digits: {
      3: [
        { counts: 2, at: 0.4, aside: 5 },
        { counts: 1, at: 0.9, aside: 0 },
      ],
    },
  }
  const { version, digits } = parseNotchMap(old)
  expect(version).toBe(2)
  expect(digits[3]).toEqual([
    { at: expect.closeTo(0.37), aside: 5 },
    { at: expect.closeTo(0.43), aside: 5 },
    { at: 0.9, aside: 0 },
  ])
  expect(() => parseNotchMap({ ...old, digits: { 4: old.digits[3] } })).toThrow('The notches of 4 count 3.')
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
