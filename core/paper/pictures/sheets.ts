import type { Choices } from '../../choices'
import { standing as standsIn, type AreaState } from '../../representation/area/area'
import { belowText, blankNought, sheetRows } from '../../representation/columns/rows'
import type { ColumnsState, Square } from '../../representation/columns/state'
import { workRows } from '../../representation/division/rows'
import type { DivisionState } from '../../representation/division/state'
import { live, type ProductState } from '../../representation/product/state'
import { BRAILLE_HEIGHT, CELL, cellsOf, digitCell, dotsOf } from '../braille'
import { line, lines, moved, path, POINT, rect, text, type Mark, type Picture } from '../drawing'

/** Written sheets on squared paper: columns, multiplying, dividing, the split rectangle. */

/** How squared paper is drawn: how large a square is, whether its figures are felt. */
export interface Squares {
  readonly unit: number
  readonly tactile?: boolean
  /** Whether noughts before the first digit of an answer are left out, as one writes a number. */
  readonly asWritten?: boolean
}
const SMALL: Squares = { unit: 6 }

/** Figures in a square, in the middle of it; `size` is a share of the square's own. */
function figure(sq: Squares, column: number, row: number, figures: string, size = 1, bold = false): readonly Mark[] {
  const { unit, tactile } = sq
  if (figures === '') return []
  const [x, y] = [(column + 0.5) * unit, (row + 0.5) * unit]
  if (tactile) {
    const cells = /^\d$/.test(figures) ? [digitCell(Number(figures))] : cellsOf(figures).filter((c) => c !== '3456')
    const w = (cells.length - 1) * CELL.cell + CELL.dot + CELL.across
    return [moved(dotsOf(cells), x - w / 2, y - BRAILLE_HEIGHT / 2)]
  }
  const pt = (unit * 0.72 * size) / POINT
  return [text(x, y + unit * 0.25 * size, figures, pt, bold ? 'bold' : 'regular', 'middle')]
}
const strike = ({ unit, tactile }: Squares, column: number, row: number, at = 0.5): Mark => {
  const [x, y] = [(column + at) * unit, (row + 0.5) * unit]
  return line(x - unit * 0.3, y + unit * 0.3, x + unit * 0.3, y - unit * 0.3, { wide: tactile ? 1.5 : unit * 0.06 })
}

/** The squares of so many columns and rows. */
export const ruledSquares = ({ unit, tactile }: Squares, columns: number, rows: number): Mark =>
  lines(
    [
      ...Array.from({ length: columns + 1 }, (_, i) => [i * unit, 0, i * unit, rows * unit] as const),
      ...Array.from({ length: rows + 1 }, (_, i) => [0, i * unit, columns * unit, i * unit] as const),
    ],
    tactile ? { wide: 1 } : { stroke: 'grey', wide: 0.15 },
  )
const rule = ({ unit, tactile }: Squares, from: number, to: number, row: number): Mark =>
  line(from * unit, row * unit, to * unit, row * unit, { wide: tactile ? 2 : 0.6 })

/** What was ever written in one square: where a digit was struck, what stands now is over it, and smaller. */
function inked(sq: Squares, square: Square, column: number, row: number): readonly Mark[] {
  const stands = square.find((ink) => !ink.struck)
  const [first, ...further] = square.filter((ink) => ink.struck)
  const marks: Mark[] = []
  if (first) marks.push(...figure(sq, column, row, String(first.digit)), strike(sq, column, row))
  for (const [i, ink] of further.entries())
    marks.push(
      ...figure(sq, column - 0.3, row - 0.75 - 0.3 * i, String(ink.digit), 0.5),
      strike(sq, column - 0.3, row - 0.75 - 0.3 * i),
    )
  if (!stands) return marks
  const [at, size] = first ? [row - 1, 0.8] : [row, 1]
  if (stands.one) marks.push(...figure(sq, column - 0.36, at - 0.18, '1', 0.6))
  return [...marks, ...figure(sq, column, at, String(stands.digit), size)]
}

/** Whether a nought stands before the first digit of a row. */
const leads = (s: ColumnsState, row: number, from: number): boolean =>
  s.rows[row]!.slice(from).every((square) => (square.at(-1)?.digit ?? 0) === 0)

/** Whether a row is the answer, over which nothing is written anew: no room is needed between it and the line. */
const isAnswer = (s: ColumnsState, row: number): boolean =>
  row > 0 && !s.bands[row] && s.rows[row]!.every((square) => square.every((ink) => !ink.struck || ink.digit > 9))

/** A column sheet as it stands. */
export function columnsPicture(s: ColumnsState, choices: Choices, sq: Squares = SMALL): Picture {
  const rows = sheetRows(s, choices, false).filter((row, i, all) => {
    const next = all[i + 1]
    const marked = row.kind === 'carry' && s.bands[row.band] !== undefined
    return row.kind !== 'carry' || !row.rule || marked || next?.kind !== 'digits' || !isAnswer(s, next.row)
  })
  const point = s.decimals > 0 ? 1 : 0
  const columns = s.width + 1 + point
  const columnAt = (i: number): number => columns - 1 - i - (i >= s.decimals ? point : 0)
  const marks: Mark[] = []
  let y = 0
  for (const row of rows) {
    if (row.kind === 'carry') {
      for (let i = 0; i < s.width; i++) {
        const carry = s.bands[row.band]?.carry[i] ?? 0
        if (carry > 0) marks.push(...figure(sq, columnAt(i), y, String(carry), 0.6))
      }
      if (row.rule) marks.push(rule(sq, 0, columns, y))
    } else if (row.kind === 'digits') {
      if (row.row > 0 && rows[y - 1]?.kind !== 'carry') marks.push(rule(sq, 0, columns, y))
      for (let i = 0; i < s.width; i++) {
        // A column's whole sum stands only until its carry mark is made.
        const square = (s.rows[row.row]?.[i] ?? []).filter((ink) => !(row.row > 0 && ink.struck && ink.digit > 9))
        if (sq.asWritten && row.row > 0 && i > s.decimals && leads(s, row.row, i)) continue
        if (square.length === 0 || (row.row === 0 && blankNought(s, square, i, choices.zeroFill))) continue
        marks.push(...inked(sq, square, columnAt(i), y))
      }
      if (point > 0 && (s.rows[row.row]?.some((q) => q.length > 0) ?? false))
        marks.push(...figure(sq, columns - 1 - s.decimals, y, '.'))
    } else if (row.kind === 'below') {
      marks.push(...figure(sq, 0, y, row.sign))
      for (let i = 0; i < s.width; i++)
        marks.push(...figure(sq, columnAt(i), y, belowText(s, row.band, row.index, i, choices.zeroFill)))
      if (point > 0) marks.push(...figure(sq, columns - 1 - s.decimals, y, '.'))
    }
    y++
  }
  const high = Math.max(y, 3)
  return { w: columns * sq.unit, h: high * sq.unit, marks: [ruledSquares(sq, columns, high), ...marks] }
}

/** Written multiplication: the two numbers, a row for each digit, the carry marks over the number above, and the sum. */
export function productPicture(s: ProductState, sq: Squares = SMALL): Picture {
  const wide = Math.max(s.top.length + s.by.length, ...s.rows.map((r) => r.digits.length), s.sum.length)
  const columns = wide + 1
  const column = (place: number): number => columns - 1 - place
  const marks: Mark[] = []
  const squares = (list: readonly (readonly number[])[], row: number, size = 1): void =>
    list.forEach((square, place) => {
      const n = live(square)
      if (n !== undefined) marks.push(...figure(sq, column(place), row, String(n), size))
    })
  let row = 0
  for (const r of s.rows.length > 0 ? s.rows : [{ carries: [] }]) squares(r.carries, row++, 0.6)
  s.top.forEach((d, place) => marks.push(...figure(sq, column(place), row, String(d))))
  row++
  marks.push(...figure(sq, Math.max(0, column(s.by.length)), row, '×'))
  s.by.forEach((d, place) => marks.push(...figure(sq, column(place), row, String(d))))
  row++
  marks.push(rule(sq, 0, columns, row))
  for (const r of s.rows) squares(r.digits, row++)
  if (s.rows.length > 1) {
    marks.push(...figure(sq, 0, row - 1, '+'), rule(sq, 0, columns, row))
    squares(s.sum, row++)
  }
  const high = Math.max(row, 4)
  return { w: columns * sq.unit, h: high * sq.unit, marks: [ruledSquares(sq, columns, high), ...marks] }
}

/** Long division: divisor, dividend and quotient, all that is written beneath, and the card over what is not needed yet. */
export function divisionPicture(s: DivisionState, sq: Squares = SMALL, leastRows = 0, card = true): Picture {
  const lead = String(s.by).length + 1
  const columns = lead + Math.max(2, s.dividend.length)
  const marks: Mark[] = []
  for (const [i, d] of Array.from(String(s.by)).entries()) marks.push(...figure(sq, i, 1, d))
  const { unit } = sq
  const [x, top] = [(lead - 0.35) * unit, unit]
  marks.push(
    path(`M${x} ${top}Q${x + unit * 0.35} ${top + unit / 2} ${x} ${top + unit}`, { wide: sq.tactile ? 1.5 : 0.5 }),
    line(x, top, columns * unit, top, { wide: sq.tactile ? 1.5 : 0.5 }),
  )
  Array.from(s.dividend).forEach((d, i) => marks.push(...figure(sq, lead + i, 1, d)))
  s.tries.forEach((tries, i) => {
    const digit = tries.at(-1)?.digit
    if (digit !== undefined) marks.push(...figure(sq, lead + i, 0, String(digit)))
  })
  const rows = workRows(s).filter((r) => !r.struck)
  rows.forEach((r, n) => {
    const figures = Array.from(r.text)
    figures.forEach((d, k) => marks.push(...figure(sq, lead + r.end - (figures.length - 1 - k), 2 + n, d)))
    Array.from(r.brought).forEach((d, k) => marks.push(...figure(sq, lead + r.end + 1 + k, 2 + n, d)))
    if (r.kind === 'product') {
      marks.push(...figure(sq, lead + r.end - figures.length, 2 + n, '−', 0.9))
      marks.push(rule(sq, lead + r.end - figures.length + 0.5, lead + r.end + 1, 3 + n))
    }
  })
  if (card && s.free < s.dividend.length && s.dividend !== '' && s.free > 0)
    marks.push(
      rect((lead + s.free) * unit + 0.4, unit + 0.5, (s.dividend.length - s.free) * unit, unit - 0.8, {
        wide: sq.tactile ? 1 : 0.4,
        dash: [1.5, 1],
      }),
    )
  const high = Math.max(2 + rows.length, leastRows, 4)
  return { w: columns * unit, h: high * unit, marks: [ruledSquares(sq, columns, high), ...marks] }
}

/** A rectangle parted at the tens, with what has been written in its parts. */
export function areaPicture(s: AreaState): Picture {
  const [along, down] = [s.along, s.down].map((list) => list.reduce((a, b) => a + b, 0)) as [number, number]
  const [w, h] = [70, Math.max(24, Math.min(46, (70 * down) / Math.max(1, along)))]
  // A side of few ones stays wide enough for its number.
  const shares = (list: readonly number[], whole: number, room: number): readonly number[] => {
    const least = room * 0.22
    const sizes = list.map((n) => Math.max(least, (n / whole) * room))
    const all = sizes.reduce((a, b) => a + b, 0)
    return sizes.map((n) => (n / all) * room)
  }
  const [columns, rows] = s.split ? [shares(s.along, along, w), shares(s.down, down, h)] : [[w], [h]]
  const [left, top] = [12, 7]
  const marks: Mark[] = [rect(left, top, w, h, { wide: 0.5 })]
  const ends = (sizes: readonly number[]): readonly number[] =>
    sizes.map((_, i) => sizes.slice(0, i).reduce((a, b) => a + b, 0))
  const [xs, ys] = [ends(columns), ends(rows)]
  for (const x of xs.slice(1)) marks.push(line(left + x, top, left + x, top + h, { wide: 0.4 }))
  for (const y of ys.slice(1)) marks.push(line(left, top + y, left + w, top + y, { wide: 0.4 }))
  columns.forEach((cw, c) =>
    marks.push(text(left + xs[c]! + cw / 2, top - 2, String(s.split ? s.along[c] : along), 11, 'regular', 'middle')),
  )
  rows.forEach((rh, r) => {
    marks.push(text(left - 2, top + ys[r]! + rh / 2 + 1.5, String(s.split ? s.down[r] : down), 11, 'regular', 'end'))
    if (s.split)
      columns.forEach((cw, c) => {
        const n = standsIn(s, r, c)
        if (n === undefined) return
        marks.push(text(left + xs[c]! + cw / 2, top + ys[r]! + rh / 2 + 1.5, String(n), 11, 'bold', 'middle'))
      })
  })
  return { w: w + left + 2, h: h + top + 2, marks }
}
