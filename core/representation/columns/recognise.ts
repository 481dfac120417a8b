import { amountAct, type Act } from '../../act/act'
import { exchangesFor } from '../../act/exchanges'
import { countsAt, digitsOf, type Place } from '../../number/places'
import { isUnfinished, type Owed, type Recognised } from '../representation'
import { exact } from '../../number/exact'
import { applyAt, inward } from './apply'
import { answered, belowAt, holdings, live, nextAsked, type ColumnsMove, type ColumnsState } from './state'

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
  if (all.some((m) => m.kind === 'rub') || !oneColumn) return undefined
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
  const exchanges = struckBare === undefined ? exchangesFor(rest, now.decimals) : undefined
  if (!exchanges) return { soFar: [], owed: owedFor(before, now, rest, struckBare, fresh) }
  if (worked.length > 1 && moves.length > 1) return undefined
  if (worked.length === 0 && exchanges.length === 0)
    return fresh.length > 0 && moves.length === 1 ? { soFar: [], owed: { kind: 'nothing' } } : undefined
  const done: Act[] = worked.map((p) =>
    amountAct(way === 1 ? 'join' : 'take', countsAt(p, belowAt(now, p), now.width), now.decimals),
  )
  return way === 1 ? [...done, ...exchanges] : [...exchanges, ...done]
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

type MarkKind = Extract<Owed, { kind: 'mark' }>['mark']

/** A place in which everything is struck and nothing written instead. */
function openStrike(s: ColumnsState): Place | undefined {
  for (const row of s.rows)
    for (const [place, square] of row.entries()) if (square.length > 0 && live(square) === undefined) return place
  return undefined
}

/** Names the mark that is missing, or the digit that does not follow. */
function owedFor(
  before: ColumnsState,
  now: ColumnsState,
  rest: readonly number[],
  struck: Place | undefined,
  fresh: readonly Place[],
): Owed {
  const mark = (kind: MarkKind, i: number): Owed => ({ kind: 'mark', mark: kind, place: i - now.decimals })
  if (struck !== undefined) return mark('lessened', struck)
  const off = rest.flatMap((n, p) => (n === 0 ? [] : [p]))
  const [low, high] = [off[0]!, off.at(-1)!]
  const alone = off.length === 1
  if (alone && rest[low] === 10) return mark('strike', low + 1)
  if (alone && rest[low] === -1 && low > 0) return mark('small-one', low - 1)
  if (alone && rest[low] === -10) return mark('carry', low + 1)
  if (alone && rest[low] === 1 && low > 0) return mark('digit', low - 1)
  const place = fresh.find((p) => off.includes(p)) ?? high
  const band = now.bands.at(-1)
  return {
    kind: 'look-again',
    place: place - now.decimals,
    wrote: holdings(now)[place]!,
    above: holdings(before)[place]!,
    operation: band?.operation ?? '+',
    below: belowAt(now, place),
  }
}
