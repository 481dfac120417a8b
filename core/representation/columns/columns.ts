import { countsOf, piecesOf, plainPieces, type Act, type AmountAct, type ExchangeAct } from '../../act/act'
import { unfold } from '../../act/unfold'
import { DEFAULT_CHOICES } from '../../choices'
import { features } from '../../problem/features'
import { decimalsOf, MAX_DIGITS, printExact, valueOf } from '../../number/numeral'
import { decimal, type Pieces } from '../../number/units'
import { digitsOf, isEmpty, onlyPlace, placeName, worth, type Counts, type Place } from '../../number/places'
import { fitWholes } from '../../problem/fit'
import { decimalsIn, totals, type Problem, type Sign } from '../../problem/problem'
import { ZERO } from '../../number/exact'
import { Refusal } from '../../refusal'
import { performAll, type Representation } from '../representation'
import { apply, applyAt, outward } from './apply'
import { recognise } from './recognise'
import {
  answered,
  belowAt,
  columnAt,
  columnName,
  holdings,
  shown,
  topAt,
  type ColumnsMove,
  type ColumnsState,
} from './state'
import { MAX_DECIMALS, parseMove, printMove } from './text'

/** How many squares the widest number or total of the problem needs. */
function widthOf(problem: Problem, decimals: number): number {
  const values = [...totals(problem), ...problem.terms.map((t) => valueOf(t.number))]
  return Math.max(...values.map((v) => digitsOf(v, decimals + 1, decimals).length))
}

/**
 * The numbers said while one digit of a column is touched: on from the greater when adding, back from the top when taking
 * away. The number begun from is not said (practice, section 5; common practice, no source).
 */
function touches(kind: 'join' | 'take', place: Place, top: number, below: number): readonly ColumnsMove[] {
  const touched = kind === 'join' ? Math.min(top, below) : below
  const start = kind === 'join' ? Math.max(top, below) : top
  const by = kind === 'join' ? 1 : -1
  return Array.from({ length: touched }, (_, i) => ({ kind: 'say', place, word: start + by * (i + 1) }))
}

/** Answer digits for places up to `before` with nothing to add or take away, which are only copied down. */
function copyDown(s: ColumnsState, before: Place): readonly ColumnsMove[] {
  if (s.bands.length === 0) return []
  const held = holdings(s)
  const moves: ColumnsMove[] = []
  for (let p = 0; p < before; p++)
    if (!answered(s, p) && belowAt(s, p) === 0) moves.push({ kind: 'answer', place: p, digit: held[p]! })
  return moves
}

/** The leading place that has a digit in the result; nothing is copied down above it. */
const leading = (s: ColumnsState): number =>
  Math.max(
    0,
    holdings(s).findLastIndex((n) => n > 0),
  )

const perform = (s: ColumnsState, act: Act): readonly ColumnsMove[] => performAt(s, act).map((move) => outward(s, move))

function performAt(s: ColumnsState, act: Act): readonly ColumnsMove[] {
  switch (act.kind) {
    case 'lay':
      if (s.rows.length > 0) throw new Refusal('The sheet has its first number already.')
      return [{ kind: 'write', number: act.amount }]
    case 'pose':
      if (s.rows.length === 0) throw new Refusal('The sheet cannot show this yet: it has no first number.')
      return [
        ...(joinsBand(s, act.operation) ? [] : copyDown(s, leading(s) + 1)),
        { kind: 'under', operation: act.operation, number: act.amount },
      ]
    case 'read':
      return [...copyDown(s, leading(s) + 1), { kind: 'read', value: act.value }]
    case 'begin':
    case 'group':
    case 'share':
    case 'count':
      throw new Refusal('The sheet cannot show this: it has no mark for counting on.')
    case 'exchange': {
      const [from, to] = [onlyKind(s, act.from), onlyKind(s, act.to)]
      return exchange(s, from.index, from.count, to.index, to.count)
    }
    case 'split':
    case 'gather':
    case 'rewrite':
    case 'beside':
    case 'compare':
      return []
    case 'join':
    case 'take':
      if (!plainPieces(act)) return workWhole(s, act)
      return workColumns(
        s,
        act.kind,
        act.pieces ? countsOf(act.pieces, s.width, s.decimals) : digitsOf(act.amount, s.width, s.decimals),
      )
  }
}

/** The one column that has to do with one side of an exchange. @throws Refusal where it is more than one, or none of this sheet's. */
function onlyKind(s: ColumnsState, pieces: readonly Pieces[]): { readonly index: number; readonly count: number } {
  const counts = countsOf(pieces, s.width, s.decimals)
  const index = onlyPlace(counts)
  if (index === undefined)
    throw new Refusal('On the sheet one of a column is exchanged for ten of the next, and no other way.')
  return { index, count: counts[index]! }
}

/** A number worked whole: column by column, with every mark; it must be just what stands below. */
function workWhole(s: ColumnsState, act: AmountAct): readonly ColumnsMove[] {
  const below = worth(
    Array.from({ length: s.width }, (_, i) => (answered(s, i) ? 0 : belowAt(s, i))),
    s.decimals,
  )
  if (below !== act.amount)
    throw new Refusal(`The sheet cannot show this yet: it works its columns once all of ${printExact(below)} is done.`)
  const units = decimal(Math.max(1, s.width - s.decimals), s.decimals)
  return performAll(performAt, applyAt, s, unfold(act, piecesOf(holdings(s), s.decimals), units))
}

/** Whether a further number goes under the addends that stand there, rather than under an answer. */
const joinsBand = (s: ColumnsState, operation: Sign): boolean =>
  operation === '+' &&
  s.bands.at(-1)?.operation === '+' &&
  s.rows.at(-1)!.every((q) => q.length === 0) &&
  s.bands.at(-1)!.carry.every((c) => c === 0) &&
  s.bands.at(-1)!.below.some((b) => b.amount !== ZERO)

/** @throws Refusal where the sheet has no column for a place. */
function checkColumn(s: ColumnsState, place: Place): void {
  if (place >= s.width) throw new Refusal(`This sheet has no ${columnName(s, place)} column.`)
}

/** Joins or takes whole digits of the number below; the sheet has no mark for part of a digit. */
function workColumns(s: ColumnsState, kind: 'join' | 'take', counts: Counts): readonly ColumnsMove[] {
  const band = s.bands.at(-1)
  if (!band) throw new Refusal('The sheet has no second number yet.')
  if ((band.operation === '+') !== (kind === 'join'))
    throw new Refusal(
      `The sheet cannot show this: it has no mark for ${kind === 'join' ? 'giving back' : 'taking out again'}.`,
    )
  const moves: ColumnsMove[] = []
  let state = s
  const write = (more: readonly ColumnsMove[]): void => {
    moves.push(...more)
    state = more.reduce(applyAt, state)
  }
  for (const [place, count] of counts.entries()) {
    if (count === 0) continue
    checkColumn(state, place)
    if (answered(state, place))
      throw new Refusal(`The sheet cannot show this: its ${columnName(state, place)} are worked already.`)
    if (count !== belowAt(state, place))
      throw new Refusal(
        `The sheet cannot show this yet: it writes the ${columnName(state, place)} when all ${belowAt(state, place)} are done.`,
      )
    write(copyDown(state, place))
    const holds = holdings(state)[place]!
    const digit = kind === 'join' ? holds + count : holds - count
    if (digit < 0) throw new Refusal(`There are too few ${columnName(state, place)} on the sheet.`)
    if (state.touch) write(touches(kind, place, holds, count))
    write([{ kind: 'answer', place, digit }])
  }
  if (isEmpty(counts) && onlyPlace(counts) === undefined) return []
  return moves
}

function exchange(s: ColumnsState, from: Place, fromCount: number, to: Place, toCount: number): readonly ColumnsMove[] {
  for (const place of [from, to]) checkColumn(s, place)
  const held = holdings(s)
  const carriedInto = s.bands.at(-1)?.operation === '+' && from < to && !answered(s, from) && belowAt(s, from) === 0
  if (carriedInto) {
    // Nine and a carry mark, with nothing beneath: the column's sum is written down before it can be exchanged.
    const sum: ColumnsMove = { kind: 'answer', place: from, digit: held[from]! }
    return [sum, ...exchange(applyAt(s, sum), from, fromCount, to, toCount)]
  }
  const left = held[from]! - fromCount
  const more = held[to]! + toCount
  if (left < 0) throw new Refusal(`There are too few ${columnName(s, from)} on the sheet.`)
  const rewrite = (place: Place, digit: number): readonly ColumnsMove[] => {
    const carried = answered(s, place) ? 0 : (s.bands.at(-1)?.carry[place] ?? 0)
    if (digit < carried) throw new Refusal(`The carry mark over the ${columnName(s, place)} would have to go.`)
    return [
      { kind: 'strike', place },
      { kind: 'above', place, digit: digit - carried },
    ]
  }
  const lessen = rewrite(from, left)
  if (from < to) {
    const carry: ColumnsMove = { kind: 'carry', place: to, digit: toCount }
    return [...lessen, ...(s.bands.length > 0 && !answered(s, to) ? [carry] : rewrite(to, more))]
  }
  // The small 1 stands before a single digit in the top row; anything else is struck and written anew.
  const small = !s.rewrites && toCount === 10 && held[to]! < 10 && !answered(s, to) && !(s.bands.at(-1)?.carry[to] ?? 0)
  return [...lessen, ...(small ? [{ kind: 'one', place: to } as const] : rewrite(to, more))]
}

/** A column's digits, both noughts too where nothing else stands there. */
function digitsToAdd(s: ColumnsState, place: Place): readonly number[] | undefined {
  const i = place + s.decimals
  if (s.bands.at(-1)?.operation !== '+' || i < 0 || i >= s.width) return undefined
  const digits = columnAt(s, i)
  return digits.length > 1 ? digits : [topAt(s, i), belowAt(s, i)]
}

/** Columns with a carry mark and nothing beneath: their answer is copied down on the way to the next. */
function carriedInto(s: ColumnsState, before?: Place): readonly (readonly number[])[] {
  if (s.bands.at(-1)?.operation !== '+') return []
  const end = before === undefined ? s.width : Math.min(s.width, before + s.decimals)
  return Array.from({ length: Math.max(0, end) }, (_, i) => i)
    .filter((i) => !answered(s, i) && belowAt(s, i) === 0)
    .map((i) => columnAt(s, i))
    .filter((digits) => digits.length > 1)
}

function writeSum(s: ColumnsState, join: AmountAct, exchange: ExchangeAct): readonly ColumnsMove[] {
  const [i, carried] = [onlyKind(s, exchange.from).index, onlyKind(s, exchange.to).count]
  const moves = performAt(s, join)
  const stays = (move: ColumnsMove): ColumnsMove =>
    move.kind === 'answer' && move.place === i ? { ...move, digit: move.digit - 10 * carried } : move
  return [...moves.map(stays), { kind: 'carry', place: i + 1, digit: carried } as const].map((m) => outward(s, m))
}

/** What the plain sheet and the touched one share. */
const sheet = {
  kind: 'written',
  units: decimal(MAX_DIGITS + 1, MAX_DECIMALS),
  sorts: ['places'],
  // Digits are written from the lowest place up.
  allows: (way: string) => way !== 'by-places',
  opening: 'write {number} down',
  apply,
  shows: shown,
  perform,
  recognise,
  print: printMove,
  parse: parseMove,
  sums: { digits: digitsToAdd, carriedInto, write: writeSum },
} as const

function start(problem: Problem, touch: boolean, rewrites: boolean): ColumnsState {
  const decimals = decimalsIn(problem)
  return {
    width: widthOf(problem, decimals),
    decimals,
    asked: problem.terms.flatMap(({ operation, number }) =>
      operation === '+' || operation === '-' ? [{ operation, amount: valueOf(number) }] : [],
    ),
    written: [problem.first, ...problem.terms.map((t) => t.number)].map((n) => decimalsOf([n])),
    draft: null,
    rows: [],
    bands: [],
    rewrites,
    touch,
    said: [],
    read: null,
  }
}

/** The column sheet: digits under digits, with every mark. */
export const columns: Representation<ColumnsState, ColumnsMove> = {
  ...sheet,
  id: 'columns',
  title: 'column sheet',
  called: 'the column sheet',
  example: 'write 52 · strike tens · answer 5 ones',
  prefers: ['by-column'],
  fits: (problem) =>
    fitWholes(problem, {
      name: 'the column sheet',
      greatest: 999_999_999,
      because: 'it is nine squares wide',
      decimals: MAX_DECIMALS,
      instead: [],
    }),
  start: (problem, choices) => start(problem, false, choices.smallOne === 'rewrite'),
}

/** Touch numerals in columns: each column on its own, one of its digits touched; with or without exchanges, as the class says. */
export const touchColumns: Representation<ColumnsState, ColumnsMove> = {
  ...sheet,
  id: 'touch-columns',
  title: 'touch numerals in columns',
  called: 'touch numerals in columns',
  example: 'say 9 ones · answer 5 ones',
  fits: (problem, { touchExchanges } = DEFAULT_CHOICES) => {
    const fit = fitWholes(problem, {
      name: 'a sheet of touch numerals',
      greatest: 9999,
      because: 'its numerals are large and four squares wide',
      instead: ['columns'],
    })
    if (!fit.fits || touchExchanges) return fit
    const [place] = features(problem).flatMap((f) => f.exchanges)
    if (place === undefined) return fit
    return {
      fits: false,
      why: `The ${placeName(place)} need an exchange, and this room works touch numerals without.`,
      instead: ['blocks', 'columns'],
    }
  },
  start: (problem, choices) => start(problem, true, choices.smallOne === 'rewrite'),
}
