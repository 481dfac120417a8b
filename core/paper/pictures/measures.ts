import type { Choices } from '../../choices'
import { asNumber, type Exact } from '../../number/exact'
import { cutOf, lcm } from '../../number/fractions'
import { numberText } from '../../number/text'
import type { Setup } from '../../plan/setup'
import { amountsOf, totals } from '../../problem/problem'
import { pretty } from '../../speech/words'
import { points, type LineState } from '../../representation/line/line'
import { marksOf, ruled } from '../../representation/line/ruling'
import { landings, type OpenLineState } from '../../representation/openline/openline'
import { spread } from '../../representation/openline/layout'
import { hatchOf, layStrips } from '../../representation/parts/layout'
import type { PartsState } from '../../representation/parts/state'
import type { Pieces } from '../../number/units'
import { hatched, line, lines, moved, path, rect, text, type Mark, type Picture } from '../drawing'
import { NOTHING, PIECE, SOFT } from './shapes'

/** Number lines, strips and vessels. */

const signed = (value: Exact): string => `${value.startsWith('-') ? '−' : '+'}`

/** A line ruled through nought, with its arrows one over another. */
export function linePicture(s: LineState, numbers: readonly Exact[], parts: number): Picture {
  const wide = 460
  const ruling = ruled(numbers.map(asNumber), parts, wide)
  const own = (n: Exact): string => pretty(numberText(n, s.units))
  const base = 30 + 34 * Math.min(6, s.arrows.length)
  const marks: Mark[] = [
    line(0, base, wide, base, { wide: 2 }),
    ...marksOf(ruling).map(({ n, long }) => {
      const half = n === 0 ? 16 : long ? 10 : 5
      return line(ruling.x(n), base - half, ruling.x(n), base + half, { wide: n === 0 ? 2.5 : 1.2 })
    }),
    ...marksOf(ruling).flatMap(({ n, long }) =>
      long ? [text(ruling.x(n), base + 32, markText(n, parts), 34, 'regular', 'middle')] : [],
    ),
  ]
  const all = points(s)
  s.arrows.forEach((by, i) => {
    const y = base - 22 - 34 * (i % 6)
    const [a, b] = [ruling.x(asNumber(all[i]!)), ruling.x(asNumber(all[i + 1]!))]
    const tip = b >= a ? -7 : 7
    marks.push(
      path(`M${a} ${base}L${a} ${y}L${b} ${y}L${b} ${base}M${b + tip} ${y - 5}L${b} ${y}L${b + tip} ${y + 5}`, {
        wide: 1.8,
      }),
      text((a + b) / 2, y - 4, `${signed(by)}${own(by).replace(/^−/, '')}`, 34, 'bold', 'middle'),
    )
  })
  const here = all.at(-1)
  if (here !== undefined)
    marks.push(rect(ruling.x(asNumber(here)) - 5, base - 5, 10, 10, { fill: 'black', stroke: 'none' }, 5))
  return scaled({ w: wide, h: base + 40, marks }, 0.2)
}
const markText = (n: number, parts: number): string => {
  if (Number.isInteger(n)) return n < 0 ? `−${-n}` : String(n)
  const top = Math.round(Math.abs(n) * parts)
  return /^10*$/.test(String(parts)) ? String(n).replace('-', '−') : `${n < 0 ? '−' : ''}${top}/${parts}`
}

/** A picture drawn in other units, as millimetres; letters keep their size. */
const scaled = ({ w, h, marks }: Picture, scale: number): Picture => ({
  w: w * scale,
  h: h * scale,
  marks: [moved(marks, 0, 0, scale)],
})

/** An empty line with hops from landing to landing; places keep the order of the numbers, not their scale. */
export function openLinePicture(s: OpenLineState): Picture {
  const stops = landings(s)
  if (stops.length === 0) return { w: 92, h: 16, marks: [line(0, 10, 92, 10, { wide: 0.5 })] }
  const at = spread(stops.map(asNumber), 460)
  const x = (n: Exact): number => at.get(asNumber(n))! / 5
  const base = 20
  const marks: Mark[] = [line(0, base, 92, base, { wide: 0.5 })]
  for (const n of new Set(stops))
    marks.push(
      line(x(n), base - 1.5, x(n), base + 1.5, { wide: 0.4 }),
      text(x(n), base + 6, pretty(numberText(n)), 8, 'regular', 'middle'),
    )
  s.hops.forEach((by, i) => {
    const [a, b] = [x(stops[i]!), x(stops[i + 1]!)]
    const high = Math.min(11, 4 + Math.abs(b - a) / 5)
    const tip = b >= a ? -1.6 : 1.6
    marks.push(
      path(
        `M${a} ${base - 1}Q${(a + b) / 2} ${base - 1 - 2 * high} ${b} ${base - 1}M${b + tip} ${base - 3.4}L${b} ${base - 1}`,
        { wide: 0.4 },
      ),
      text(
        (a + b) / 2,
        base - high - 2.2,
        `${signed(by)}${pretty(numberText(by)).replace(/^−/, '')}`,
        8,
        'bold',
        'middle',
      ),
    )
  })
  return { w: 92, h: base + 8, marks }
}

/** Rows of a parts mat: what lies there, the number beside it, further rows. */
const rowsOf = (s: PartsState): readonly { readonly row: string; readonly pieces: readonly Pieces[] }[] => [
  { row: 'main', pieces: s.lies },
  ...(s.posed ? [{ row: 'posed', pieces: s.posed.pieces }] : []),
  ...s.others.map((pieces, i) => ({ row: String(i + 1), pieces })),
]

/** Strips at one scale, each kind with its own hatching and its part written on it where there is room. */
export function stripsPicture(s: PartsState): Picture {
  const rows = rowsOf(s)
  if (rows.every((r) => r.pieces.length === 0)) return { ...NOTHING, marks: [rect(0, 0, 30, 8, SOFT)] }
  const { bars, bands, height } = layStrips(rows, 460, 60 * rows.length)
  const k = 0.2
  const marks: Mark[] = bands.flatMap((b) =>
    b.outlines.map((o) => rect(o.x * k, o.y * k, o.width * k, o.height * k, SOFT)),
  )
  for (const bar of bars) {
    const [x, y, w, h] = [bar.x * k, bar.y * k, bar.width * k, bar.height * k]
    marks.push(rect(x, y, w, h, PIECE))
    if (bar.of > 1)
      marks.push(hatched(x, y, w, h, hatchOf(bar.of).angle, hatchOf(bar.of).gap * k, { stroke: 'grey', wide: 0.12 }))
    const label = bar.of === 1 ? '1' : `1/${bar.of}`
    if (w > label.length * 2) marks.push(text(x + w / 2, y + h / 2 + 1.1, label, 7, 'bold', 'middle'))
  }
  const bottom = Math.max(...bars.map((b) => b.y + b.height), ...bands.map((b) => b.y + b.height), 0)
  return { w: 92, h: Math.min(height, bottom + 8) * k, marks }
}

/** Containers with their level lines, filled as high as what they hold. */
export function vesselPicture(s: PartsState): Picture {
  const [wide, high, gap] = [18, 34, 5]
  const marks: Mark[] = []
  let x = 0
  for (const { pieces } of rowsOf(s)) {
    const value = pieces.reduce((n, p) => n + p.count * asNumber(p.unit), 0)
    const cuts = pieces.map((p) => cutOf(p.unit)).filter((n) => n > 1)
    const levels = Math.min(24, Number(lcm(cuts.map(BigInt))))
    for (let i = 0; i < Math.max(1, Math.ceil(value - 1e-9)); i++) {
      const full = Math.min(1, Math.max(0, value - i))
      if (full > 0)
        marks.push(
          rect(x, high * (1 - full), wide, high * full, { fill: 'pale', stroke: 'none' }),
          line(x, high * (1 - full), x + wide, high * (1 - full), { wide: 0.5 }),
        )
      marks.push(
        lines(
          [
            [x, -2, x, high],
            [x, high, x + wide, high],
            [x + wide, high, x + wide, -2],
          ],
          { wide: 0.5 },
        ),
        ...Array.from({ length: Math.max(0, levels - 1) }, (_, n) => {
          const y = high * (1 - (n + 1) / levels)
          return line(x, y, x + 4, y, { wide: 0.3 })
        }),
      )
      x += wide + gap
    }
    x += gap
  }
  return { w: Math.max(wide, x - 2 * gap), h: high + 3, marks: [moved(marks, 0, 2.5)] }
}

/** Every number that a problem comes to on its way, with nought: how far a line has to reach. */
export const reaches = ({ worked }: Setup, stood: readonly Exact[]): readonly Exact[] => [
  ...(worked.terms[0]?.operation === '*' ? totals(worked).slice(1) : totals(worked)),
  ...stood,
  ...amountsOf(worked).slice(1),
]

/** Into how many parts the class wants each whole of a line ruled; as many as its numbers need, where it says nothing. */
export const rulingParts = (numbers: readonly Exact[], { signed: { ruled: wanted } }: Choices): number =>
  wanted || Math.max(1, Math.min(100, Number(lcm(numbers.map((n) => BigInt(cutOf(n)))))))
