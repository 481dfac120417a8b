import fc from 'fast-check'
import { exact, type Pieces } from '../../core/index'
import { hatchOf, layStrips, type Bar } from '../../core/representation/parts/layout'
import { cutOf } from '../../core/number/fractions'
import { partName, partsText } from '../../app/utils/parts'

/** Strips on their mat: one scale for all, every amount from the same edge, nothing on top of anything else. */

const pieces = fc
  .uniqueArray(fc.integer({ min: 1, max: 24 }), { minLength: 1, maxLength: 3 })
  .chain((kinds) =>
    fc.tuple(
      ...kinds.map((of) =>
        fc.integer({ min: 1, max: 6 }).map((count): Pieces => ({ count, unit: exact(of === 1 ? 1 : `1/${of}`) })),
      ),
    ),
  )
  .map((all) => [...all].sort((a, b) => cutOf(a.unit) - cutOf(b.unit)))
const rows = fc
  .array(pieces, { minLength: 1, maxLength: 4 })
  .map((all) => all.map((p, i) => ({ row: i === 0 ? 'main' : String(i), pieces: p })))

const overlap = (a: Bar, b: Bar): boolean =>
  a.x < b.x + b.width - 0.01 && b.x < a.x + a.width - 0.01 && a.y < b.y + b.height - 0.01 && b.y < a.y + a.height - 0.01

test('each part has its share of one whole, and there are as many bars as pieces', () => {
  fc.assert(
    fc.property(rows, fc.integer({ min: 240, max: 1400 }), (all, width) => {
      const { bars, unit } = layStrips(all, width, 500)
      for (const bar of bars) expect(bar.width * bar.of).toBeCloseTo(unit, 6)
      for (const { row, pieces: p } of all) {
        const own = bars.filter((b) => b.row === row)
        expect(own).toHaveLength(p.reduce((n, k) => n + k.count, 0))
        expect(Math.min(...own.map((b) => b.x))).toBe(0)
        expect(Math.max(...own.map((b) => b.x + b.width))).toBeLessThanOrEqual(width + 0.01)
      }
    }),
  )
})

test('nothing lies on anything else, rows keep their order, and all is within the height that is asked for', () => {
  fc.assert(
    fc.property(rows, (all) => {
      const { bars, bands, height } = layStrips(all, 700, 300)
      for (const [i, a] of bars.entries()) for (const b of bars.slice(i + 1)) expect(overlap(a, b)).toBe(false)
      bands.slice(1).forEach((band, i) => expect(band.y).toBeGreaterThanOrEqual(bands[i]!.y + bands[i]!.height))
      for (const bar of bars) expect(bar.y + bar.height).toBeLessThanOrEqual(height + 0.01)
    }),
    { numRuns: 60 },
  )
})

test('what is as long reaches as far, whatever it is cut into', () => {
  const [half, quarters] = layStrips(
    [
      { row: 'main', pieces: [{ count: 1, unit: exact('1/2') }] },
      { row: '1', pieces: [{ count: 4, unit: exact('1/8') }] },
    ],
    600,
    300,
  ).bars.reduce<[number, number]>(
    ([a, b], bar) => (bar.row === 'main' ? [bar.x + bar.width, b] : [a, bar.x + bar.width]),
    [0, 0],
  )
  expect(half).toBeCloseTo(quarters, 6)
})

test('a shorter whole is shorter all over; an empty row still shows the outline of its whole', () => {
  const row = [{ row: 'main', pieces: [{ count: 3, unit: exact('1/4') }] }]
  expect(layStrips(row, 600, 300, 0.5).unit).toBe(layStrips(row, 600, 300).unit / 2)
  expect(layStrips([{ row: 'main', pieces: [] }], 600, 300).bands[0]!.outlines).toHaveLength(1)
})

test('neighbouring kinds are hatched differently', () => {
  for (let of = 2; of < 12; of++) expect(hatchOf(of)).not.toEqual(hatchOf(of + 1))
})

test('marks of a line and names of parts', () => {
  expect([0, 0.625, 1.25, -0.75, 2].map((n) => partsText(n, 8))).toEqual(['0', '5/8', '1 2/8', '-6/8', '2'])
  expect([partName(1, 2), partName(8, 1), partName(100, 2)]).toEqual(['wholes', 'eighth', 'hundredths'])
})
