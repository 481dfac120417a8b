import { amountAct, type Act } from '../../act/act'
import { exchangesInPlaces } from '../../act/exchanges'
import { countsAt, digitsOf, type Place } from '../../number/places'
import { isUnfinished, type Owed, type Recognised } from '../representation'
import { exact } from '../../number/exact'
import { applyAt, inward } from './apply'
import {
  answered,
  belowAt,
  columnAt,
  holdings,
  live,
  nextAsked,
  topAt,
  topRow,
  type ColumnsMove,
  type ColumnsState,
} from './state'

/**
 * Marks as acts. What the sheet holds in each place is compared before and after; a place answered for the first time
 * has had its digit below added or taken away, and what is left over must be an exchange.
 */
export const recognise = (before: ColumnsState, moves: readonly ColumnsMove[]): Recognised =>
  recogniseAt(
    before,
    moves.map((m) => inward(before, m)),
  )

function recogniseAt(before: ColumnsState, all: readonly ColumnsMove[]): Recognised {
  const moves = all.filter((m) => m.kind !== 'say')
  const last = moves.at(-1)
  const [touched] = all.flatMap((m) => (m.kind === 'say' ? [m.place] : []))
  if (all.some((m) => m.kind === 'digit' || m.kind === 'pull')) return drafting(before, all)
  const oneColumn = all.every((m) => m.kind !== 'say' || m.place === touched)
  if (!oneColumn) return undefined
  // Touching alone does nothing yet; after a mark it begins the next column.
  if (!last) return all.length > 0 ? { soFar: [], owed: { kind: 'nothing' } } : undefined
  if (all.at(-1)!.kind === 'say') return undefined
  return withWords(recogniseMarks(before, moves, last), all)
}

/** Puts the numbers said with a column to the act, or to the slip, that came of them. */
function withWords(known: Recognised, all: readonly ColumnsMove[]): Recognised {
  const said = all.flatMap((m) => (m.kind === 'say' ? [exact(m.word)] : []))
  if (said.length === 0 || known === undefined) return known
  if (!isUnfinished(known))
    return known.map((act) => (act.kind === 'join' || act.kind === 'take' ? { ...act, said } : act))
  return known.owed.kind === 'look-again' ? { ...known, owed: { ...known.owed, said } } : known
}

function recogniseMarks(before: ColumnsState, moves: readonly ColumnsMove[], last: ColumnsMove): Recognised {
  const now = moves.reduce(applyAt, before)
  switch (last.kind) {
    case 'read':
      return onlyCopied(before, moves.slice(0, -1)) && last.value !== null
        ? [{ kind: 'read', value: last.value }]
        : undefined
    case 'write':
      return moves.length === 1
        ? [
            {
              kind: 'lay',
              amount: last.number,
              pieces: amountAct(
                'lay',
                now.rows[0]!.map((q) => live(q) ?? 0),
                now.decimals,
              ).pieces!,
            },
          ]
        : undefined
    case 'under':
      return onlyCopied(before, moves.slice(0, -1))
        ? [{ kind: 'pose', operation: last.operation, amount: last.number }]
        : undefined
    default:
      return moves.some((m) => m.kind === 'write' || m.kind === 'under' || m.kind === 'read')
        ? undefined
        : marks(before, now, moves)
  }
}

/** Whether marks only copy down places with nothing beneath. */
function onlyCopied(before: ColumnsState, moves: readonly ColumnsMove[]): boolean {
  const held = holdings(before)
  return moves.every((m) => m.kind === 'answer' && belowAt(before, m.place) === 0 && held[m.place] === m.digit)
}

function marks(before: ColumnsState, now: ColumnsState, moves: readonly ColumnsMove[]): Recognised {
  const band = now.bands.at(-1)
  const way = band?.operation === '-' ? -1 : 1
  const [was, is] = [holdings(before), holdings(now)]
  const fresh = Array.from({ length: now.width }, (_, p) => p).filter((p) => answered(now, p) && !answered(before, p))
  const worked = fresh.filter((p) => belowAt(now, p) > 0)
  const rest = is.map((n, p) => n - was[p]! - (fresh.includes(p) ? way * belowAt(now, p) : 0))
  const struckBare = openStrike(now)
  const exchanges = struckBare === undefined ? exchangesInPlaces(rest, now.decimals) : undefined
  if (!exchanges) return { soFar: [], owed: owedFor(now, rest, struckBare, moves.at(-1)!) }
  if (worked.length > 1 && moves.length > 1) {
    // A column is a thing of its own, unless it makes good what the one before it owed: a ten carried in the head, whose mark is wanted.
    if (way === -1 || !owes(before, moves.slice(0, -1))) return undefined
    const bare = worked.find((p) => rest[p]! > 0 && band!.carry[p] === before.bands.at(-1)!.carry[p])
    if (bare !== undefined)
      return { soFar: [], owed: { kind: 'carry', place: bare - now.decimals, count: rest[bare]!, stands: null } }
  }
  if (worked.length === 0 && exchanges.length === 0)
    return fresh.length > 0 && moves.length === 1 ? { soFar: [], owed: { kind: 'nothing' } } : undefined
  const done: Act[] = worked.map((p) =>
    amountAct(way === 1 ? 'join' : 'take', countsAt(p, belowAt(now, p), now.width), now.decimals),
  )
  return way === 1 ? [...done, ...exchanges] : [...exchanges, ...done]
}

/** Whether marks leave something to be done. */
function owes(before: ColumnsState, moves: readonly ColumnsMove[]): boolean {
  const known = recogniseMarks(before, moves, moves.at(-1)!)
  return isUnfinished(known) && known.owed.kind !== 'nothing'
}

/** The next number written under digit by digit: whole and in line it is set beneath; out of line it is seen at once. */
function drafting(before: ColumnsState, moves: readonly ColumnsMove[]): Recognised {
  if (!moves.every((m) => m.kind === 'digit' || m.kind === 'pull')) return undefined
  const asked = nextAsked(before)
  const now = moves.reduce(applyAt, before)
  if (!asked) return undefined
  if (!now.draft) return [{ kind: 'pose', ...asked }]
  const digits = digitsOf(asked.amount, now.decimals + 1, now.decimals)
  const stands = (by: number): boolean => now.draft!.every((d, i) => d === null || d === digits[i - by])
  if (stands(0)) return { soFar: [], owed: { kind: 'nothing' } }
  const shifts = Array.from({ length: now.width }, (_, i) => [i + 1, -i - 1]).flat()
  const by = shifts.find(stands)
  if (by !== undefined) return { soFar: [], owed: { kind: 'align', by } }
  const place = now.draft.findIndex((d, i) => d !== null && d !== digits[i])
  return {
    soFar: [],
    owed: { kind: 'copy', place: place - now.decimals, wrote: now.draft[place]!, amount: asked.amount },
  }
}

/** A place in which everything is struck and nothing written instead. */
function openStrike(s: ColumnsState): Place | undefined {
  for (const row of s.rows)
    for (const [place, square] of row.entries()) if (square.length > 0 && live(square) === undefined) return place
  return undefined
}

/** What the marks made so far still need, or which digit does not follow; judged from what the sheet shows, column by column. */
function owedFor(now: ColumnsState, rest: readonly number[], struck: Place | undefined, last: ColumnsMove): Owed {
  if (struck !== undefined) return { kind: 'mark', mark: 'lessened', place: struck - now.decimals }
  const off = rest.flatMap((n, i) => (n === 0 ? [] : [i]))
  const answers = off.filter((i) => answered(now, i))
  // The digit just written comes first; an older one waits until this one is right.
  const newest = 'place' in last && answers.includes(last.place) ? last.place : answers[0]
  if (newest !== undefined) return answerOwed(now, rest, newest)
  return marksOwed(now, rest, off) ?? lookAgain(now, off.at(-1)!)
}

const sum = (digits: readonly number[]): number => digits.reduce((a, b) => a + b, 0)

function lookAgain(now: ColumnsState, i: number): Owed {
  return {
    kind: 'look-again',
    place: i - now.decimals,
    wrote: holdings(now)[i]!,
    above: topAt(now, i),
    operation: now.bands.at(-1)?.operation ?? '+',
    below: belowAt(now, i),
    column: columnAt(now, i),
  }
}

/** Of an answered column: the mark that its digit wants, where the digit itself is right; else the digit. */
function answerOwed(now: ColumnsState, rest: readonly number[], i: number): Owed {
  const wrote = holdings(now)[i]!
  if (now.bands.at(-1)!.operation === '+') {
    const total = sum(columnAt(now, i))
    const next = i + 1
    if (total < 10 || wrote !== total % 10 || next >= now.width) return lookAgain(now, i)
    if (rest[next] !== 0 && !answered(now, next)) return unowed(now, next)
    const stands = answered(now, next) ? holdings(now)[next]! : null
    return { kind: 'carry', place: next - now.decimals, count: Math.floor(total / 10), stands }
  }
  const [above, below] = [topAt(now, i), belowAt(now, i)]
  if (above < below && wrote === above + 10 - below) return lessenFor(now, rest, i)
  // Lessened in the head, for ten that the column before has used: the marks are wanted, the digit is right.
  const lent = i > 0 && answered(now, i - 1) && topAt(now, i - 1) < belowAt(now, i - 1)
  return lent && wrote === above - 1 - below ? lessenFor(now, rest, i - 1) : lookAgain(now, i)
}

const unowed = (now: ColumnsState, i: number): Owed => ({
  kind: 'carry-unowed',
  place: i - now.decimals,
  column: columnAt(now, i - 1),
})

/** Ten more are used in a column than it had: the next mark of the exchange that brings them. */
function lessenFor(now: ColumnsState, rest: readonly number[], i: number): Owed {
  const lessened = rest.findIndex((n, q) => q > i && n < 0)
  if (lessened > i + 1) return { kind: 'mark', mark: 'small-one', place: lessened - 1 - now.decimals }
  const giving = holdings(now).findIndex((n, q) => q > i && n > 0)
  return { kind: 'mark', mark: 'strike', place: (giving < 0 ? i + 1 : giving) - now.decimals }
}

/** Of marks before any digit: half an exchange, or a carry mark set first. Undefined where they are neither. */
function marksOwed(now: ColumnsState, rest: readonly number[], off: readonly Place[]): Owed | undefined {
  const enlarged = off.find((i) => rest[i] === 10)
  if (enlarged !== undefined) return lessenFor(now, rest, enlarged)
  const [first] = off
  if (first === undefined || first === 0) return undefined
  if (rest[first] === -1) return { kind: 'mark', mark: 'small-one', place: first - 1 - now.decimals }
  const carries = now.bands.at(-1)?.operation === '+' && (now.bands.at(-1)!.carry[first] ?? 0) > 0
  if (carries) {
    const comes = Math.floor(sum(columnAt(now, first - 1)) / 10)
    const owedHere = comes > 0 && comes === rest[first] && !answered(now, first - 1)
    return owedHere ? { kind: 'carried', place: first - 1 - now.decimals } : unowed(now, first)
  }
  const square = now.rows[topRow(now)]![first]!
  const was = square.at(-2)
  if (!was?.struck) return undefined
  return { kind: 'lessen', place: first - now.decimals, was: was.digit + (was.one ? 10 : 0), wrote: live(square)! }
}
