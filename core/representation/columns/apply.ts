import { digitsOf, type Place } from '../../number/places'
import { Refusal } from '../../refusal'
import {
  answered,
  columnName,
  holdingRow,
  live,
  nextAsked,
  topRow,
  unworked,
  type ColumnsMove,
  type ColumnsState,
  type Ink,
  type Square,
} from './state'
import type { Sign } from '../../problem/problem'
import type { Exact } from '../../number/exact'
import { printExact } from '../../number/numeral'

const ink = (digit: number): Ink => ({ digit, one: false, struck: false })
const blankRow = (width: number): readonly Square[] => Array.from({ length: width }, () => [])

/** Digits without leading noughts, as a row of squares. */
function rowOf(digits: readonly number[], width: number): readonly Square[] {
  return Array.from({ length: width }, (_, p) => (p < digits.length ? [ink(digits[p]!)] : []))
}

const replaceAt = <T>(list: readonly T[], i: number, value: T): readonly T[] =>
  list.map((x, j) => (j === i ? value : x))

/** The digits of a number as this sheet parts them. @throws Refusal where they need more squares than it has. */
function digitsOn(s: ColumnsState, number: Exact): readonly number[] {
  const text = printExact(number)
  const [, point = ''] = text.split('.')
  const digits = point.length > s.decimals ? undefined : digitsOf(number, s.decimals + 1, s.decimals)
  if (!digits || digits.length > s.width) throw new Refusal(`${text} is wider than this sheet.`)
  return digits
}

/** A number under the newest row: one more addend where nothing has been worked in its band yet, else a band of its own. */
function under(s: ColumnsState, operation: Sign, amount: Exact): ColumnsState {
  const below = { amount, digits: digitsOn(s, amount) }
  const band = s.bands.at(-1)
  const untouched =
    band?.operation === '+' &&
    operation === '+' &&
    s.rows.at(-1)!.every((q) => q.length === 0) &&
    band.carry.every((c) => c === 0)
  if (untouched)
    return { ...s, draft: null, bands: [...s.bands.slice(0, -1), { ...band, below: [...band.below, below] }] }
  if (unworked(s))
    throw new Refusal(
      'The sheet cannot show this yet: the number written under is not worked.',
      'Answer its columns first.',
    )
  const fresh = { operation, below: [below], carry: new Array<number>(s.width).fill(0) }
  return { ...s, draft: null, rows: [...s.rows, blankRow(s.width)], bands: [...s.bands, fresh] }
}

/** One more digit of the number being written; once it stands as it was asked it is written. */
function drafted(s: ColumnsState, i: number, digit: number): ColumnsState {
  if (s.rows.length === 0) throw new Refusal('There is no number to write under yet.', 'Write the first: write 52.')
  if (!nextAsked(s)) throw new Refusal('No further number is asked here.')
  if (digit > 9) throw new Refusal(`${digit} does not go into one square.`, 'A square takes one digit.')
  return settledDraft({ ...s, draft: replaceAt(s.draft ?? new Array<null>(s.width).fill(null), i, digit) })
}

function pulled(s: ColumnsState, by: number): ColumnsState {
  if (!s.draft) throw new Refusal('No number is being written just now.', 'Write its digits first: digit 7 ones.')
  const draft = Array.from({ length: s.width }, (_, i) => s.draft![i + by] ?? null)
  if (draft.filter((d) => d !== null).length < s.draft.filter((d) => d !== null).length)
    throw new Refusal('A digit would leave the sheet.', 'Pull it the other way.')
  return settledDraft({ ...s, draft })
}

function settledDraft(s: ColumnsState): ColumnsState {
  const { operation, amount } = nextAsked(s)!
  const digits = digitsOn(s, amount)
  const stands = s.draft!.every(
    (d, i) => (d ?? null) === (digits[i] ?? null) || (d === null && digits[i] === 0 && i < s.decimals),
  )
  return stands ? under(s, operation, amount) : s
}

/** Changes one square of one row. */
function inSquare(s: ColumnsState, row: number, place: Place, edit: (square: Square) => Square): ColumnsState {
  const squares = s.rows[row]!
  return { ...s, rows: replaceAt(s.rows, row, replaceAt(squares, place, edit(squares[place]!))) }
}

const lastInk =
  (edit: (ink: Ink) => Ink) =>
  (square: Square): Square => [...square.slice(0, -1), edit(square.at(-1)!)]
const strikeLast = lastInk((i) => ({ ...i, struck: true }))

function inCarry(s: ColumnsState, place: Place, by: number): ColumnsState {
  const band = s.bands.at(-1)!
  const carry = replaceAt(band.carry, place, (band.carry[place] ?? 0) + by)
  return { ...s, bands: replaceAt(s.bands, s.bands.length - 1, { ...band, carry }) }
}

function needBand(s: ColumnsState, what: string): void {
  if (s.bands.length === 0)
    throw new Refusal(`${what} needs a number written underneath first.`, 'Write it with: under + 358.')
}

function needPlace(s: ColumnsState, place: Place): void {
  if (place < 0 || place >= s.width) throw new Refusal(`This sheet has no ${columnName(s, Math.max(0, place))} column.`)
}

/** A move with its place turned into the index of its square, or back. */
export const inward = (s: ColumnsState, move: ColumnsMove): ColumnsMove =>
  'place' in move ? { ...move, place: move.place + s.decimals } : move
export const outward = (s: ColumnsState, move: ColumnsMove): ColumnsMove =>
  'place' in move ? { ...move, place: move.place - s.decimals } : move

/** @throws Refusal when the mark cannot stand there. */
export const apply = (s: ColumnsState, move: ColumnsMove): ColumnsState => applyAt(s, inward(s, move))

/** The same with squares by their index. */
export function applyAt(s: ColumnsState, move: ColumnsMove): ColumnsState {
  if ('place' in move) needPlace(s, move.place)
  switch (move.kind) {
    case 'read':
      return { ...s, read: move.value }
    case 'write': {
      if (s.rows.length > 0) throw new Refusal('The first number is written already.', 'Write the next one under it.')
      return { ...s, rows: [rowOf(digitsOn(s, move.number), s.width)] }
    }
    case 'under': {
      if (s.rows.length === 0) throw new Refusal('There is no number to write under yet.', 'Write the first: write 52.')
      return under(s, move.operation, move.number)
    }
    case 'digit':
      return drafted(s, move.place, move.digit)
    case 'pull':
      return pulled(s, move.by)
    case 'answer': {
      needBand(s, 'An answer digit')
      return inSquare(s, s.bands.length, move.place, (square) =>
        live(square) === undefined ? [...square, ink(move.digit)] : [...strikeLast(square), ink(move.digit)],
      )
    }
    case 'strike':
      holding(s, move.place)
      return inSquare(s, holdingRow(s, move.place), move.place, strikeLast)
    case 'above': {
      const square = s.rows[holdingRow(s, move.place)]?.[move.place]
      if (square?.length && live(square) !== undefined)
        throw new Refusal(
          `The ${columnName(s, move.place)} digit still stands.`,
          `Strike it first: strike ${columnName(s, move.place)}.`,
        )
      if (!square) throw new Refusal('There is no number on the sheet yet.')
      return inSquare(s, holdingRow(s, move.place), move.place, (q) => [...q, ink(move.digit)])
    }
    case 'one': {
      const square = s.rows[holdingRow(s, move.place)]?.[move.place]
      if (square?.at(-1)?.one) throw new Refusal(`The ${columnName(s, move.place)} digit has its small 1 already.`)
      if (square && square.length === 0 && !answered(s, move.place))
        return inSquare(s, topRow(s), move.place, () => [{ ...ink(0), one: true }])
      holding(s, move.place)
      return inSquare(
        s,
        holdingRow(s, move.place),
        move.place,
        lastInk((i) => ({ ...i, one: true })),
      )
    }
    case 'say':
      if (!s.touch) throw new Refusal('This sheet has no notches to touch.', 'Choose touch numerals in columns.')
      needBand(s, 'Touching')
      return { ...s, said: [...s.said, { band: s.bands.length - 1, place: move.place, word: move.word }] }
    case 'carry':
      needBand(s, 'A carry mark')
      return inCarry(s, move.place, move.digit)
  }
}

/** What holds in a place. @throws Refusal when nothing does. */
function holding(s: ColumnsState, place: Place): number {
  const value = live(s.rows[holdingRow(s, place)]?.[place])
  if (value === undefined) throw new Refusal(`There is no ${columnName(s, place)} digit standing.`)
  return value
}
