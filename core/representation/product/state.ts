import { exact, multiply, sum, type Exact } from '../../number/exact'
import type { Place } from '../../number/places'

/** What was written in one square: the last number stands, those before it are struck. */
export type Square = readonly number[]
export const live = (square: Square | undefined): number | undefined => square?.at(-1)

/** One row of products: the digits of the row by place, and the carry marks over the digits of the number above. */
export interface Row {
  readonly digits: readonly Square[]
  readonly carries: readonly Square[]
}

export interface ProductState {
  /** The digits of the number above, and of the one it is multiplied by, the ones first. */
  readonly top: readonly number[]
  readonly by: readonly number[]
  /** A row for each digit of `by` that is not nought, the ones first. */
  readonly rows: readonly Row[]
  /** For which digit of `by` a row is. */
  readonly rowOf: readonly Place[]
  /** The rows added up, where there are several. */
  readonly sum: readonly Square[]
  readonly read: Exact | null
}

export type ProductMove =
  /** A digit in a row, or a carry mark over the number above for it. Rows are counted from 1. */
  | { readonly kind: 'write' | 'carry'; readonly row: number; readonly place: Place; readonly digit: number }
  | { readonly kind: 'sum'; readonly place: Place; readonly digit: number }
  | { readonly kind: 'read'; readonly value: Exact | null }

/** A column of a row as it stands: a digit of the number above times the digit of the row, and the mark that was carried to it. */
export interface Column {
  readonly row: number
  /** Which digit of the number above, and where the product's digit goes. */
  readonly at: Place
  readonly place: Place
  readonly above: number
  readonly times: number
  readonly carried: number
  /** What is written for it: the digit, and what was carried on; of the last digit both stand in the row. */
  readonly digit: number | undefined
  readonly on: number | undefined
  readonly last: boolean
}

export function columnAt({ top, by, rows, rowOf }: ProductState, row: number, at: Place): Column {
  const power = rowOf[row]!
  const last = at === top.length - 1
  const { digits, carries } = rows[row]!
  return {
    row,
    at,
    place: at + power,
    above: top[at]!,
    times: by[power]!,
    carried: live(carries[at]) ?? 0,
    digit: live(digits[at + power]),
    on: last ? live(digits[at + power + 1]) : live(carries[at + 1]),
    last,
  }
}

/** What a column comes to. */
export const wanted = ({ above, times, carried }: Column): number => above * times + carried

/** What is written for a column, both figures together. */
export const wrote = ({ digit = 0, on = 0 }: Column): number => 10 * on + digit

export const isDone = (c: Column): boolean =>
  c.digit !== undefined && wrote(c) === wanted(c) && (!c.last || wanted(c) < 10 || c.on !== undefined)

/** Every column, row by row, the ones first: the order of writing. */
export const columns = (s: ProductState): readonly Column[] =>
  s.rows.flatMap((_, row) => s.top.map((_, at) => columnAt(s, row, at)))

const power = (place: Place): Exact => exact(10n ** BigInt(place))

/** A column as so many times a size. */
export const partOf = (
  s: ProductState,
  { row, at, above, times }: Column,
): { readonly count: Exact; readonly size: Exact } => ({
  count: multiply(exact(times), power(s.rowOf[row]!)),
  size: multiply(exact(above), power(at)),
})

const partWorth = (s: ProductState, c: Column): Exact => {
  const { count, size } = partOf(s, c)
  return multiply(count, size)
}

/** What the columns worked so far come to. */
export const shows = (s: ProductState): Exact =>
  sum(
    columns(s)
      .filter(isDone)
      .map((c) => partWorth(s, c)),
  )

/** What each row comes to. */
export const rowWorths = (s: ProductState): readonly Exact[] =>
  s.rows.map((_, row) => sum(s.top.map((_, at) => partWorth(s, columnAt(s, row, at)))))

/** The row of added digits as a number, the ones first; undefined while a square is empty. */
export const numberIn = (squares: readonly Square[], length: number): Exact | undefined => {
  const digits = Array.from({ length }, (_, i) => live(squares[i]))
  return digits.includes(undefined) ? undefined : exact(BigInt([...digits].reverse().join('') || '0'))
}
