import { plainPieces, type Act, type ExchangeAct, type Pieces } from '../act/act'
import { add, compare, exact, multiply, sign, subtract, ZERO, type Exact } from '../number/exact'
import { digitsOf, placeOfUnit, unitOf } from '../number/places'
import { answer, decimalsIn, type Problem } from '../problem/problem'
import { REPRESENTATIONS } from './index'
import type { RepresentationId } from './representation'

/** One thing that has been done in one of two representations and not in the other. */
export interface Gap {
  readonly done: RepresentationId
  readonly missing: RepresentationId
  readonly act: Act
  /** What the other did instead, where it did something of the kind that does not agree. */
  readonly instead: Act | null
}

/** How two representations, both worked by hand, agree act by act. */
export interface Match {
  readonly gaps: readonly Gap[]
  /** A representation that shows the answer although acts that lead there were never done in it. */
  readonly copied: RepresentationId | null
  /** Whether everything done in the one has been done in the other. */
  readonly agree: boolean
}

/** Everything done in one representation, added up: exchanges by their units, amounts by kind. */
interface Tally {
  readonly id: RepresentationId
  readonly laid: Exact
  readonly pieces: ReadonlyMap<Exact, Exact>
  /** Whether every amount named its pieces, so that they can be compared place by place. */
  readonly placed: boolean
  readonly total: Exact
  readonly exchanges: ReadonlyMap<string, { readonly act: ExchangeAct; readonly times: number }>
}

function tally(id: RepresentationId, acts: readonly Act[], decimals: number): Tally {
  const pieces = new Map<Exact, Exact>()
  const exchanges = new Map<string, { act: ExchangeAct; times: number }>()
  let [laid, total] = [ZERO, ZERO]
  let placed = true
  const put = (these: readonly Pieces[], way: 1 | -1): void => {
    for (const { count, unit } of these) pieces.set(unit, add(pieces.get(unit) ?? ZERO, exact(way * count)))
  }
  for (const act of acts) {
    if (act.kind === 'lay') laid = add(laid, act.amount)
    else if (act.kind === 'join' || act.kind === 'take') {
      const way = act.kind === 'take' ? -1 : 1
      total = add(total, multiply(exact(way), act.amount))
      placed &&= plainPieces(act) !== undefined
      put(act.pieces ?? byDigits(act.amount, decimals), way)
    } else if (act.kind === 'count' || act.kind === 'group') {
      total = add(total, act.kind === 'count' ? act.by : multiply(act.count, act.size))
      placed = false
    } else if (act.kind === 'exchange') {
      const one = oneOf(act)
      const key = JSON.stringify(one)
      const times = act.from.count / one.from.count
      exchanges.set(key, { act: one, times: (exchanges.get(key)?.times ?? 0) + times })
    }
  }
  return { id, laid, pieces, placed, total, exchanges }
}

const byDigits = (amount: Exact, decimals: number): readonly Pieces[] =>
  digitsOf(amount, 1, decimals).map((count, p) => ({ count, unit: unitOf(p - decimals) }))

/** An exchange made several times at once, as one of them. */
function oneOf(act: ExchangeAct): ExchangeAct {
  const times = Math.min(act.from.count, act.to.count)
  return {
    kind: 'exchange',
    from: { ...act.from, count: act.from.count / times },
    to: { ...act.to, count: act.to.count / times },
  }
}

/** What `a` has done and `b` has not. */
function gapsOf(a: Tally, b: Tally): Gap[] {
  const gaps: Gap[] = []
  const gap = (act: Act, instead: Act | null = null): void =>
    void gaps.push({ done: a.id, missing: b.id, act, instead })
  if (a.laid !== b.laid && a.laid !== ZERO)
    gap({ kind: 'lay', amount: a.laid }, b.laid === ZERO ? null : { kind: 'lay', amount: b.laid })
  // What one of them has no way to show is not held against the other.
  if (![a, b].some((side) => REPRESENTATIONS[side.id].cannotShow?.(anyExchange)))
    for (const [key, { act, times }] of a.exchanges) {
      const short = times - (b.exchanges.get(key)?.times ?? 0)
      if (short > 0 && !cameBack(a, act))
        gap({
          ...act,
          from: { ...act.from, count: short * act.from.count },
          to: { ...act.to, count: short * act.to.count },
        })
    }
  if (!a.placed || !b.placed) {
    const short = subtract(a.total, b.total)
    if (short !== ZERO && beyond(a.total, b.total)) gap(amountOf(short))
    return gaps
  }
  for (const [unit, count] of [...a.pieces].sort(([x], [y]) => compare(x, y))) {
    const other = b.pieces.get(unit) ?? ZERO
    const short = subtract(count, other)
    if (short !== ZERO && beyond(count, other)) gap(amountOf(multiply(short, unit), unit, short))
  }
  return gaps
}

/** Whether a went further than b: b stands still, goes the same way less far, or went the other way. */
const beyond = (a: Exact, b: Exact): boolean => a !== ZERO && (sign(a) > 0 ? compare(a, b) > 0 : compare(a, b) < 0)

/** An exchange that was made and made back again is no exchange. */
function cameBack(a: Tally, act: ExchangeAct): boolean {
  const back = a.exchanges.get(JSON.stringify({ kind: 'exchange', from: act.to, to: act.from }))
  return back !== undefined && back.times >= (a.exchanges.get(JSON.stringify(act))?.times ?? 0)
}

function amountOf(amount: Exact, unit?: Exact, count?: Exact): Act {
  const down = sign(amount) < 0
  const size = (n: Exact): Exact => (sign(n) < 0 ? subtract(ZERO, n) : n)
  const pieces =
    unit && count && placeOfUnit(unit) !== undefined ? { pieces: [{ count: Number(size(count)), unit }] } : {}
  return { kind: down ? 'take' : 'join', amount: size(amount), ...pieces }
}

const anyExchange: ExchangeAct = {
  kind: 'exchange',
  from: { count: 1, unit: '10' as Exact },
  to: { count: 10, unit: '1' as Exact },
}

/** One of two representations that are both worked by hand: what was done in it, and what it shows. */
export interface Side {
  readonly id: RepresentationId
  readonly acts: readonly Act[]
  readonly shows: Exact
  /** What the acts come to, and what was read last. */
  readonly value: Exact
  readonly read: Exact | null
}

/** How two representations agree, act by act. */
export function match(problem: Problem, a: Side, b: Side): Match {
  const decimals = decimalsIn(problem)
  const [one, other] = [tally(a.id, a.acts, decimals), tally(b.id, b.acts, decimals)]
  const [ahead, behind] = [gapsOf(one, other), gapsOf(other, one)]
  const result = answer(problem)
  /** The answer stands there, but what is known to have been done does not lead to it, or not as in the other. */
  const copies = (side: Side, laid: Exact, missing: readonly Gap[]): boolean =>
    (side.shows === result || side.read === result) && laid !== result && (missing.length > 0 || side.value !== result)
  const first = one.laid === ZERO ? other.laid : one.laid
  const copied = first === ZERO ? null : copies(b, first, ahead) ? b.id : copies(a, first, behind) ? a.id : null
  return { gaps: [...ahead, ...behind], copied, agree: ahead.length + behind.length === 0 && copied === null }
}
