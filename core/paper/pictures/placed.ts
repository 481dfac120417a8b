import { layColumn, SIGN } from '../../representation/drawn/layout'
import type { DrawnState } from '../../representation/drawn/state'
import {
  aboveOf,
  kindName,
  unitAt,
  widthOf,
  type PlacedMaterial,
  type PlacedState,
} from '../../representation/placed/state'
import type { PlatesState } from '../../representation/plates/state'
import { capital } from '../../number/words'
import { groupedIn } from '../../number/grouped'
import { printExact } from '../../number/numeral'
import { circle, line, lines, moved, path, rect, text, type Mark, type Picture } from '../drawing'
import { captioned, GHOST, NOTHING, PIECE, SOFT, stacked } from './shapes'

/** Blocks and chips in columns, drawn tens, and blocks on plates. */

/** A block's unit, and a chip's radius, in a picture. */
const [UNIT, CHIP] = [3, 3]
const GAP = 1

/** A block by its place: a one, a ten, a hundred ruled into its ones, a thousand with two of its other faces. */
export function blockMarks(place: number, unit: number, looks = { edge: PIECE, inner: SOFT }): Picture {
  if (place === 0) return { w: unit, h: unit, marks: [rect(0, 0, unit, unit, looks.edge)] }
  const ten = 10 * unit
  const steps = Array.from({ length: 9 }, (_, i) => (i + 1) * unit)
  const across = (w: number, top: number) => steps.map((y) => [0, top + y, w, top + y] as const)
  if (place === 1)
    return { w: unit, h: ten, marks: [rect(0, 0, unit, ten, looks.edge), lines(across(unit, 0), looks.inner)] }
  const deep = place === 3 ? 2 * unit : 0
  const face: Mark[] = [
    rect(0, deep, ten, ten, looks.edge),
    lines([...across(ten, deep), ...steps.map((x) => [x, deep, x, deep + ten] as const)], looks.inner),
  ]
  if (place === 2) return { w: ten, h: ten, marks: face }
  return {
    w: ten + deep,
    h: ten + deep,
    marks: [
      path(`M0 ${deep}L${deep} 0L${ten + deep} 0L${ten} ${deep}Z`, looks.edge),
      path(`M${ten} ${deep}L${ten + deep} 0L${ten + deep} ${ten}L${ten} ${ten + deep}Z`, looks.edge),
      ...face,
    ],
  }
}

/** A disc with what it is worth on it. */
const chip = (worth: string): Picture => ({
  w: 2 * CHIP,
  h: 2 * CHIP,
  marks: [circle(CHIP, CHIP, CHIP, PIECE), text(CHIP, CHIP + 1, worth, worth.length > 3 ? 4.5 : 6.5, 'bold', 'middle')],
})

/** So many pieces that are alike, so many to a row. */
function heap(count: number, piece: Picture, perRow: number): Picture {
  if (count === 0) return { w: 0, h: 0, marks: [] }
  const rows = Math.ceil(count / perRow)
  const marks = Array.from({ length: count }, (_, i) =>
    moved(piece.marks, (i % perRow) * (piece.w + GAP), Math.floor(i / perRow) * (piece.h + GAP)),
  )
  return {
    w: Math.min(count, perRow) * (piece.w + GAP) - GAP,
    h: rows * (piece.h + GAP) - GAP,
    marks,
  }
}

const pieceOf = (m: PlacedMaterial, place: number): Picture =>
  m.sized ? blockMarks(place, UNIT) : chip(groupedIn(printExact(unitAt(m, place)), 'comma'))
const perRow = (m: PlacedMaterial, place: number): number => (m.sized ? [5, 10, 2, 1][place]! : 5)

/** Columns of pieces with their names; `counts` from the lowest place of the material up. */
function columnsOf(m: PlacedMaterial, counts: readonly number[], from: number, to: number): Picture {
  const places = Array.from({ length: to - from + 1 }, (_, i) => to - i)
  const heaps = places.map((place) => heap(counts[place + m.decimals] ?? 0, pieceOf(m, place), perRow(m, place)))
  const widths = heaps.map((h, i) => Math.max(h.w + 6, kindName(m, places[i]!).length * 1.9 + 5, 14))
  const high = Math.max(10, ...heaps.map((h) => h.h)) + 12
  const all = widths.reduce((a, b) => a + b, 0)
  const marks: Mark[] = [rect(0, 0, all, high, { wide: 0.3 })]
  let x = 0
  for (const [i, place] of places.entries()) {
    const w = widths[i]!
    if (i > 0) marks.push(line(x, 0, x, high, { wide: 0.3 }))
    marks.push(text(x + w / 2, 4.5, capital(kindName(m, place)), 8, 'regular', 'middle'))
    marks.push(moved(heaps[i]!.marks, x + (w - heaps[i]!.w) / 2, 8))
    x += w
  }
  return { w: all, h: high, marks: [...marks, line(0, 6.5, all, 6.5, { wide: 0.2 })] }
}

/** What lies in columns, what is set beside, and what was taken. `places` is how many whole places are shown at least. */
export function placedPicture(m: PlacedMaterial, s: PlacedState, places = 1): Picture {
  const used = [s.mat, s.beside, s.taken].flatMap((z) => z.flatMap((n, i) => (n > 0 ? [i - m.decimals] : [])))
  const to = Math.min(aboveOf(m) - 1, Math.max(places - 1, ...used))
  const from = Math.min(0, -s.decimals, ...used)
  const zones: readonly (readonly [string, readonly number[]])[] = [
    ['', s.mat],
    ['beside', s.beside],
    ['taken', s.taken],
  ]
  const drawn = zones.flatMap(([caption, counts]) => {
    if (caption !== '' && counts.every((n) => n === 0)) return []
    const columns = columnsOf(m, counts.slice(0, widthOf(m)), from, to)
    return [caption === '' ? columns : captioned(caption, columns)]
  })
  return stacked(drawn, 3)
}

/** Dots, lines and squares drawn by hand, with what was ringed, struck and broken. */
export function drawnPicture({ things }: DrawnState): Picture {
  const scale = 3
  const places = [3, 2, 1, 0].filter((p) => things.some((t) => t.place === p))
  const marks: Mark[] = []
  let [x, high] = [0, 0]
  for (const place of places) {
    const { spots, rings, width, height } = layColumn(place, things)
    const { w, h } = SIGN[place]!
    for (const { thing, x: sx, y: sy } of spots) {
      const look = thing.fate === 'counts' ? { wide: 0.5 } : { ...GHOST, wide: 0.4 }
      const [left, top] = [(x + sx) * scale, sy * scale]
      if (place === 0)
        marks.push(circle(left + scale / 2, top + scale / 2, 1.1, thing.fate === 'counts' ? { fill: 'black' } : look))
      else if (place === 1) marks.push(line(left + (w * scale) / 2, top, left + (w * scale) / 2, top + h * scale, look))
      else marks.push(rect(left, top, w * scale, h * scale, look))
      if (thing.fate === 'crossed' || thing.fate === 'broken')
        marks.push(line(left - 1, top + h * scale + 0.6, left + w * scale + 1, top - 0.6, { wide: 0.5 }))
    }
    for (const r of rings) marks.push(rect((x + r.x) * scale, r.y * scale, r.w * scale, r.h * scale, { wide: 0.4 }, 2))
    x += width + 1.6
    high = Math.max(high, height * scale)
  }
  return places.length === 0
    ? NOTHING
    : { w: Math.max(1, x - 1.6) * scale + 1, h: high + 1, marks: [moved(marks, 0.5, 0.5)] }
}

/** What is still in hand, and the plates that it is dealt out on. */
export function platesPicture({ hand, plates }: PlatesState): Picture {
  const unit = 2
  const lying = (counts: readonly number[]): Picture => {
    const heaps = [2, 1, 0].map((place) => heap(counts[place] ?? 0, blockMarks(place, unit), [5, 5, 2][place]!))
    const seen = heaps.filter((h) => h.w > 0)
    let x = 0
    const marks = seen.map((h) => {
      const mark = moved(h.marks, x, 0)
      x += h.w + 2
      return mark
    })
    return { w: Math.max(0, x - 2), h: Math.max(0, ...seen.map((h) => h.h)), marks }
  }
  const onPlates = plates.map(lying)
  const size = Math.max(20, ...onPlates.map((p) => Math.hypot(p.w, p.h) + 4))
  const across = Math.min(6, Math.max(1, plates.length))
  const drawn: Picture = {
    w: across * (size + 3),
    h: Math.max(1, Math.ceil(plates.length / across)) * (size + 3),
    marks: onPlates.flatMap((p, i) => {
      const [x, y] = [(i % across) * (size + 3) + size / 2, Math.floor(i / across) * (size + 3) + size / 2]
      return [circle(x, y, size / 2, { wide: 0.4 }), moved(p.marks, x - p.w / 2, y - p.h / 2)]
    }),
  }
  const held = lying(hand)
  return stacked([...(held.w > 0 ? [captioned('in hand', held)] : []), ...(plates.length > 0 ? [drawn] : [])], 3)
}
