import { digitsOf, placeName, type Place } from '../../number/places'
import { Refusal } from '../../refusal'
import { answered, holdingRow, live, topRow, type ColumnsMove, type ColumnsState, type Ink, type Square } from './state'

const ink = (digit: number): Ink => ({ digit, one: false, struck: false })
const blankRow = (width: number): readonly Square[] => Array.from({ length: width }, () => [])

/** Digits without leading noughts, as a row of squares. */
function rowOf(digits: readonly number[], width: number): readonly Square[] {
  return Array.from({ length: width }, (_, p) => (p < digits.length ? [ink(digits[p]!)] : []))
}

const replaceAt = <T>(list: readonly T[], i: number, value: T): readonly T[] =>
  list.map((x, j) => (j === i ? value : x))

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
  if (place < 0 || place >= s.width) throw new Refusal(`This sheet has no ${placeName(Math.max(0, place))} column.`)
}

/** @throws Refusal when the mark cannot stand there. */
export function apply(s: ColumnsState, move: ColumnsMove): ColumnsState {
  if ('place' in move && move.kind !== 'rub') needPlace(s, move.place)
  switch (move.kind) {
    case 'read':
      return { ...s, read: move.value }
    case 'write': {
      if (s.rows.length > 0) throw new Refusal('The first number is written already.', 'Write the next one under it.')
      const digits = digitsOf(move.number)
      if (digits.length > s.width) throw new Refusal(`${move.number} is wider than this sheet.`)
      return { ...s, rows: [rowOf(digits, s.width)] }
    }
    case 'under': {
      if (s.rows.length === 0) throw new Refusal('There is no number to write under yet.', 'Write the first: write 52.')
      const below = digitsOf(move.number)
      if (below.length > s.width) throw new Refusal(`${move.number} is wider than this sheet.`)
      const band = { operation: move.operation, amount: move.number, below, carry: new Array<number>(s.width).fill(0) }
      return { ...s, rows: [...s.rows, blankRow(s.width)], bands: [...s.bands, band] }
    }
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
          `The ${placeName(move.place)} digit still stands.`,
          `Strike it first: strike ${placeName(move.place)}.`,
        )
      if (!square) throw new Refusal('There is no number on the sheet yet.')
      return inSquare(s, holdingRow(s, move.place), move.place, (q) => [...q, ink(move.digit)])
    }
    case 'one': {
      const square = s.rows[holdingRow(s, move.place)]?.[move.place]
      if (square?.at(-1)?.one) throw new Refusal(`The ${placeName(move.place)} digit has its small 1 already.`)
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
    case 'rub':
      return rub(s, move)
  }
}

/** What holds in a place. @throws Refusal when nothing does. */
function holding(s: ColumnsState, place: Place): number {
  const value = live(s.rows[holdingRow(s, place)]?.[place])
  if (value === undefined) throw new Refusal(`There is no ${placeName(place)} digit standing.`)
  return value
}

function rub(s: ColumnsState, move: Extract<ColumnsMove, { kind: 'rub' }>): ColumnsState {
  const { mark, place } = move
  const row = holdingRow(s, place)
  const unstruck = (square: Square): Square =>
    square.length ? lastInk((i) => ({ ...i, struck: false }))(square) : square
  switch (mark) {
    case 'write':
      return { ...s, rows: [] }
    case 'under':
      return { ...s, rows: s.rows.slice(0, -1), bands: s.bands.slice(0, -1) }
    case 'say':
      return { ...s, said: s.said.slice(0, -1) }
    case 'carry':
      return inCarry(s, place, -move.digit)
    case 'answer':
      // `digit` 1 says that writing the answer struck an older one, which holds again.
      return inSquare(s, row, place, (q) => (move.digit ? unstruck(q.slice(0, -1)) : q.slice(0, -1)))
    case 'above':
      return inSquare(s, row, place, (q) => q.slice(0, -1))
    case 'strike':
      return inSquare(s, row, place, unstruck)
    case 'one':
      // `digit` 1 says that the small 1 was put before an empty square.
      return inSquare(s, row, place, (q) => (move.digit ? q.slice(0, -1) : lastInk((i) => ({ ...i, one: false }))(q)))
  }
}

export function invert(before: ColumnsState, move: ColumnsMove): ColumnsMove {
  const rubbing = (mark: Extract<ColumnsMove, { kind: 'rub' }>['mark'], place = 0, digit = 0): ColumnsMove => ({
    kind: 'rub',
    mark,
    place,
    digit,
  })
  switch (move.kind) {
    case 'read':
      return { kind: 'read', value: before.read }
    case 'write':
    case 'under':
      return rubbing(move.kind)
    case 'answer':
      return rubbing('answer', move.place, live(before.rows[before.bands.length]?.[move.place]) === undefined ? 0 : 1)
    case 'carry':
      return rubbing('carry', move.place, move.digit)
    case 'one':
      return rubbing('one', move.place, before.rows[holdingRow(before, move.place)]?.[move.place]?.length ? 0 : 1)
    case 'say':
    case 'strike':
    case 'above':
      return rubbing(move.kind, move.place)
    case 'rub':
      throw new Error('rubbing only ever takes a move back')
  }
}
