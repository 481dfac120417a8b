import { belowAt, nextAsked, answered, type ColumnsState, type Square } from './state'
import type { Choices } from '../../choices'

/** One line of squares on the sheet as it is drawn, from the top down. */
export type SheetRow =
  | { readonly kind: 'carry'; readonly band: number; readonly rule: boolean }
  | { readonly kind: 'digits'; readonly row: number }
  | { readonly kind: 'below'; readonly band: number; readonly index: number; readonly sign: string }
  /** The number that is being written under, or is to be written next. */
  | { readonly kind: 'draft'; readonly sign: string }

const signOf = (operation: string): string => (operation === '-' ? '−' : '+')

/** Whether the newest band has every column with a digit below answered, so that a further number may go under. */
const bandDone = (s: ColumnsState): boolean =>
  Array.from({ length: s.width }, (_, i) => i).every((i) => belowAt(s, i) === 0 || answered(s, i))

/** The rows of a sheet. `writes` says whether someone writes on it, so that the next number has squares to go into. */
export function sheetRows(s: ColumnsState, { carryMarks }: Pick<Choices, 'carryMarks'>, writes: boolean): SheetRow[] {
  const rows: SheetRow[] = []
  const next = nextAsked(s)
  const last = s.bands.at(-1)
  const fresh = s.rows.length > 0 && (s.rows.at(-1)!.every((q) => q.length === 0) || s.bands.length === 0)
  const under = fresh && last?.operation === '+' && next?.operation === '+'
  const drafts = writes && next !== undefined && s.rows.length > 0 && (under || s.bands.length === 0 || bandDone(s))
  const draft: SheetRow[] = drafts ? [{ kind: 'draft', sign: signOf(next.operation) }] : []
  for (const [r] of s.rows.entries()) {
    const band = s.bands[r]
    const newest = r === s.bands.length - 1
    const carryBelow = carryMarks === 'below'
    // The room above a row also takes what is written anew over a struck digit.
    const ruled = carryBelow && s.bands[r - 1]?.operation === '+'
    if (!ruled) rows.push({ kind: 'carry', band: carryBelow ? -1 : r, rule: r > 0 })
    rows.push({ kind: 'digits', row: r })
    if (!band) continue
    for (const [index] of band.below.entries())
      rows.push({
        kind: 'below',
        band: r,
        index,
        sign: index === band.below.length - 1 && !(newest && under && drafts) ? signOf(band.operation) : '',
      })
    if (newest && under) rows.push(...draft)
    if (carryBelow && band.operation === '+') rows.push({ kind: 'carry', band: r, rule: true })
  }
  // Marks below the rule stand right under it; the space above the answer is theirs then.
  return under ? rows : [...rows, ...draft]
}

/** Which number of the problem stands as addend `index` of a band: the first is 0. */
export const numberAt = (s: ColumnsState, band: number, index: number): number =>
  1 + s.bands.slice(0, band).reduce((n, b) => n + b.below.length, 0) + index

/** Whether a nought after the written decimals is left blank. */
export const blankNought = (s: ColumnsState, square: Square, i: number, zeroFill: boolean): boolean =>
  !zeroFill &&
  i < s.decimals - (s.written[0] ?? 0) &&
  square.length === 1 &&
  square[0]!.digit === 0 &&
  !square[0]!.one &&
  !square[0]!.struck

/** The digit of a number written below, as text: noughts in its empty places only where the class fills them. */
export function belowText(s: ColumnsState, band: number, index: number, i: number, zeroFill: boolean): string {
  const below = s.bands[band]?.below[index]
  if (!below) return ''
  const digit = below.digits[i]
  if (digit === undefined) return zeroFill ? '0' : ''
  const beyond = i < s.decimals - (s.written[numberAt(s, band, index)] ?? 0)
  return beyond && digit === 0 && !zeroFill ? '' : String(digit)
}
