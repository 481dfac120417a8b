import type { Act } from '../../act/act'
import { exact, negate, sign, sum, type Exact } from '../../number/exact'
import { digitsOf, placeName, type Place } from '../../number/places'
import { MAX_DIGITS, printExact } from '../../number/numeral'
import { decimal } from '../../number/units'
import { FITS, type Fit } from '../../problem/fit'
import { productOf, topAndBy } from '../../problem/product'
import type { Problem } from '../../problem/problem'
import { Refusal } from '../../refusal'
import type { Owed, Recognised, Representation } from '../representation'
import {
  columnAt,
  columns,
  isDone,
  live,
  numberIn,
  partOf,
  rowWorths,
  shows,
  wanted,
  wrote,
  type Column,
  type ProductMove,
  type ProductState,
  type Square,
} from './state'
import { parseMove, printMove } from './text'

/** The most digits above where a number of two digits stands below, and where one does. */
const LONG_BY_TWO = 4

const put = (squares: readonly Square[], place: Place, digit: number): readonly Square[] =>
  Array.from({ length: Math.max(squares.length, place + 1) }, (_, i) =>
    i === place ? [...(squares[i] ?? []), digit] : (squares[i] ?? []),
  )

function apply(s: ProductState, move: ProductMove): ProductState {
  if (move.kind === 'read') return { ...s, read: move.value }
  const width = s.top.length + s.by.length
  if (move.kind === 'sum') {
    if (s.rows.length < 2) throw new Refusal('There is one row only: it is the product already.')
    if (move.place >= width) throw new Refusal(`The sheet has no ${placeName(move.place, 2)}.`)
    return { ...s, sum: put(s.sum, move.place, move.digit) }
  }
  const row = s.rows[move.row - 1]
  if (!row)
    throw new Refusal(`There is no row ${move.row}.`, s.rows.length === 1 ? 'There is one row.' : 'There are two rows.')
  if (move.kind === 'carry') {
    if (move.place < 1 || move.place >= s.top.length)
      throw new Refusal(
        `A carry mark stands over a digit of the number above, not over the ${placeName(move.place, 2)}.`,
      )
    const carries = put(row.carries, move.place, move.digit)
    return { ...s, rows: s.rows.map((r) => (r === row ? { ...r, carries } : r)) }
  }
  if (move.place >= width) throw new Refusal(`The sheet has no ${placeName(move.place, 2)}.`)
  const digits = put(row.digits, move.place, move.digit)
  return { ...s, rows: s.rows.map((r) => (r === row ? { ...r, digits } : r)) }
}

/** The marks of one column: the noughts that move its row over, its digit, and what is carried on. */
function marks(s: ProductState, c: Column): readonly ProductMove[] {
  const [value, row] = [wanted(c), c.row + 1]
  const moved = Array.from({ length: s.rowOf[c.row]! }, (_, place) => place)
    .filter((place) => live(s.rows[c.row]!.digits[place]) === undefined)
    .map((place): ProductMove => ({ kind: 'write', row, place, digit: 0 }))
  const on = Math.floor(value / 10)
  const next: readonly ProductMove[] =
    on === 0
      ? []
      : c.last
        ? [{ kind: 'write', row, place: c.place + 1, digit: on }]
        : [{ kind: 'carry', row, place: c.at + 1, digit: on }]
  return [...moved, { kind: 'write', row, place: c.place, digit: value % 10 }, ...next]
}

function group(s: ProductState, count: Exact, size: Exact): readonly ProductMove[] {
  const moves: ProductMove[] = []
  let now = s
  for (const { row, at } of columns(s)) {
    const c = columnAt(now, row, at)
    if (isDone(c)) continue
    const part = partOf(s, c)
    const is = (part.count === count && part.size === size) || (part.count === size && part.size === count)
    // A digit of nought above is written along with what comes after it.
    if (!is && c.above > 0) break
    const more = marks(now, c)
    moves.push(...more)
    now = more.reduce(apply, now)
    if (is) return moves
  }
  throw new Refusal(`${printExact(count)} × ${printExact(size)} waits: on paper the ones come first, digit by digit.`)
}

/** The digits of the rows added, the ones first. */
function added(s: ProductState): readonly ProductMove[] {
  if (s.rows.length < 2) return []
  const total = sum(rowWorths(s))
  return digitsOf(total).map((digit, place) => ({ kind: 'sum', digit, place }))
}

function perform(s: ProductState, act: Act): readonly ProductMove[] {
  switch (act.kind) {
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'group':
      if (sign(act.count) < 0) throw new Refusal('What is written stays on the paper.')
      return group(s, act.count, act.size)
    case 'gather':
      return act.whole === sum(rowWorths(s)) ? added(s) : []
    case 'begin':
    case 'pose':
    case 'split':
    case 'exchange':
    case 'rewrite':
    case 'beside':
    case 'compare':
      return []
    default:
      throw new Refusal('The sheet multiplies digit by digit.')
  }
}

/** What is still owed in a column, or wrong with it; null where it is whole or not begun. */
function owedIn(c: Column): Owed | null {
  if (isDone(c)) return null
  const [want, carried] = [wanted(c), c.last ? undefined : c.on]
  if (c.digit === undefined) return carried === undefined ? null : { kind: 'carried', place: c.place }
  const on = Math.floor(want / 10)
  if (c.digit === want % 10 && c.on === undefined) {
    if (c.last) return { kind: 'carry', place: c.place + 1, count: on, stands: null }
    return { kind: 'carry', place: c.at + 1, count: on, stands: null }
  }
  return { kind: 'product-column', above: c.above, times: c.times, carried: c.carried, wrote: wrote(c) }
}

/** Whether the noughts that move a row over are there, or their squares empty. */
function movedOver(s: ProductState): Owed | null {
  const row = s.rows.findIndex((r, i) => r.digits.slice(0, s.rowOf[i]).some((square) => (live(square) ?? 0) !== 0))
  return row < 0 ? null : { kind: 'not-moved', times: s.by[s.rowOf[row]!]!, power: s.rowOf[row]! }
}

/** The sum of the rows: right, wrong, or not all there yet. */
function summed(s: ProductState): 'right' | 'wrong' | 'open' {
  const digits = digitsOf(sum(rowWorths(s)))
  const beyond = s.sum.some((square, i) => i >= digits.length && (live(square) ?? 0) !== 0)
  if (beyond || digits.some((d, i) => live(s.sum[i]) !== undefined && live(s.sum[i]) !== d)) return 'wrong'
  return numberIn(s.sum, digits.length) === undefined ? 'open' : 'right'
}

function recognise(before: ProductState, moves: readonly ProductMove[]): Recognised {
  const last = moves.at(-1)
  if (!last) return undefined
  if (last.kind === 'read')
    return moves.length === 1 && last.value !== null ? [{ kind: 'read', value: last.value }] : undefined
  const now = moves.reduce(apply, before)
  if (last.kind === 'sum') {
    if (!moves.every((m) => m.kind === 'sum')) return undefined
    const rows = rowWorths(now)
    const state = summed(now)
    if (state === 'right') return [{ kind: 'gather', whole: sum(rows), parts: rows }]
    if (state === 'open') return { soFar: [], owed: { kind: 'nothing' } }
    const left = rows.map(printExact).join(' + ')
    const wroteSum = numberIn(now.sum, now.sum.length)
    return {
      soFar: [],
      owed: {
        kind: 'false-line',
        left,
        wrote:
          wroteSum ??
          now.sum
            .map((q) => live(q) ?? '…')
            .reverse()
            .join(''),
      },
    }
  }
  // One column at a time: with the next one begins another thing.
  const touched = (m: ProductMove): string => {
    if (m.kind !== 'write' && m.kind !== 'carry') return ''
    const power = now.rowOf[m.row - 1]!
    const at = m.kind === 'carry' ? m.place - 1 : m.place < power ? 0 : Math.min(m.place - power, now.top.length - 1)
    return `${m.row} ${at}`
  }
  const acts: Act[] = []
  for (const { row, at } of columns(now)) {
    const [was, is] = [isDone(columnAt(before, row, at)), isDone(columnAt(now, row, at))]
    const { count, size } = partOf(now, columnAt(now, row, at))
    if (was === is || sign(count) * sign(size) === 0) continue
    acts.push({ kind: 'group', count: is ? count : negate(count), size })
  }
  if (new Set(moves.map(touched)).size > 1 && acts.length !== 1) return undefined
  const stray = movedOver(now)
  const owed =
    stray ??
    columns(now)
      .map(owedIn)
      .find((o) => o !== null) ??
    null
  if (owed) return { soFar: acts, owed }
  return acts.length > 0 ? acts : { soFar: [], owed: { kind: 'nothing' } }
}

function fits(problem: Problem): Fit {
  const no = (why: string): Fit => ({ fits: false, why, instead: ['groups', 'area'] })
  const of = productOf(problem)
  const [term] = problem.terms
  if (problem.terms.length !== 1 || term!.operation !== '*' || problem.groups)
    return no('Written multiplication works a product of two numbers.')
  if (!of) return no(`The sheet multiplies whole numbers from one up, to a product of ${MAX_DIGITS} digits.`)
  const { top, by } = topAndBy(of)
  if (by.length > 2) return no('The sheet multiplies by one digit, or by two in two rows.')
  if (by.length === 2 && top.length > LONG_BY_TWO)
    return no(`With two rows the number above has ${LONG_BY_TWO} digits at the most.`)
  return FITS
}

/** Written multiplication, by one digit with carrying, or by two in two rows (practice, section 13; common practice, no source). */
export const product: Representation<ProductState, ProductMove> = {
  id: 'product',
  title: 'multiplying on paper',
  called: 'the multiplying sheet',
  kind: 'written',
  units: decimal(MAX_DIGITS),
  sorts: ['products'],
  prefers: ['by-digit'],
  allows: (way) => way === 'by-digit',
  example: 'write 8 ones · carry 2 tens · write 4 tens · read 148',
  opening: 'write the ones first',
  fits,
  start: (problem) => {
    const { top, by } = topAndBy(productOf(problem) ?? { count: exact(1), size: exact(1) })
    const [tops, bys] = [digitsOf(top), digitsOf(by)]
    const rowOf = bys.flatMap((d, i) => (d > 0 ? [i] : []))
    return { top: tops, by: bys, rowOf, rows: rowOf.map(() => ({ digits: [], carries: [] })), sum: [], read: null }
  },
  apply,
  shows,
  perform,
  recognise,
  print: printMove,
  parse: parseMove,
}
