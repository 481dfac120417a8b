import { change, plainPieces, sameExchange, type Act, type ExchangeAct } from '../act/act'
import { add, compare, exact, multiply, sign, sizeOf, subtract, ZERO, type Exact } from '../number/exact'
import { addPieces, countOf, has, piecesFor, type Pieces } from '../number/units'
import { answer, type Problem } from '../problem/problem'
import { REPRESENTATIONS } from './index'
import { notShown, type RepresentationId } from './representation'

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

/** Everything done in one representation, added up: exchanges by their pieces, amounts by kind. */
interface Tally {
  readonly id: RepresentationId
  readonly laid: Exact
  readonly pieces: readonly Pieces[]
  /** Whether every amount named its pieces, and both have such pieces, so that they can be compared kind by kind. */
  readonly placed: boolean
  readonly total: Exact
  readonly exchanges: readonly { readonly act: ExchangeAct; readonly times: number }[]
}

/** What was done on one side, in pieces where the other has them too. */
function tally({ id, acts }: Side, other: RepresentationId): Tally {
  const [own, theirs] = [REPRESENTATIONS[id].units, REPRESENTATIONS[other].units]
  let pieces: readonly Pieces[] = []
  const exchanges: { act: ExchangeAct; times: number }[] = []
  let [laid, total] = [ZERO, ZERO]
  let placed = true
  for (const act of acts) {
    if (act.kind === 'lay') laid = add(laid, act.amount)
    else if (act.kind === 'join' || act.kind === 'take') {
      const way = act.kind === 'take' ? -1 : 1
      total = add(total, change(act))
      const these = act.pieces ?? piecesFor(act.amount, own) ?? []
      placed &&= plainPieces(act) !== undefined && has(theirs, these)
      pieces = addPieces(pieces, these, way)
    } else if (act.kind === 'count' || act.kind === 'group' || act.kind === 'share') {
      total = add(total, change(act))
      placed = false
    } else if (act.kind === 'exchange') {
      const [one, times] = oneOf(act)
      const known = exchanges.find((e) => sameExchange(e.act, one))
      if (known) known.times += times
      else exchanges.push({ act: one, times })
    }
  }
  return { id, laid, pieces, placed, total, exchanges }
}

/** An exchange made several times at once, as one of them, and how many times. */
function oneOf({ from, to }: ExchangeAct): readonly [ExchangeAct, number] {
  const times = [...from, ...to].map((p) => Math.abs(p.count)).reduce(common, 0) || 1
  const once = (pieces: readonly Pieces[]): readonly Pieces[] => pieces.map((p) => ({ ...p, count: p.count / times }))
  return [{ kind: 'exchange', from: once(from), to: once(to) }, times]
}

/** The greatest common divisor. */
const common = (a: number, b: number): number => (b === 0 ? a : common(b, a % b))

const timesOf = (t: Tally, act: ExchangeAct): number => t.exchanges.find((e) => sameExchange(e.act, act))?.times ?? 0

/** What `a` has done and `b` has not. */
function gapsOf(a: Tally, b: Tally): Gap[] {
  const gaps: Gap[] = []
  const gap = (act: Act, instead: Act | null = null): void =>
    void gaps.push({ done: a.id, missing: b.id, act, instead })
  if (a.laid !== b.laid && a.laid !== ZERO)
    gap({ kind: 'lay', amount: a.laid }, b.laid === ZERO ? null : { kind: 'lay', amount: b.laid })
  for (const { act, times } of a.exchanges) {
    // What one of them has no way to show is not held against the other.
    if ([a, b].some((side) => notShown(REPRESENTATIONS[side.id], act))) continue
    const short = times - timesOf(b, act)
    if (short > 0 && !cameBack(a, act))
      gap({ ...act, from: addPieces([], act.from, short), to: addPieces([], act.to, short) })
  }
  if (!a.placed || !b.placed) {
    const short = subtract(a.total, b.total)
    if (short !== ZERO && beyond(a.total, b.total)) gap(amountOf(short))
    return gaps
  }
  for (const { unit, count } of [...a.pieces].reverse()) {
    const other = countOf(b.pieces, unit)
    const short = count - other
    if (short !== 0 && beyond(exact(count), exact(other)))
      gap(amountOf(multiply(exact(short), unit), { unit, count: Math.abs(short) }))
  }
  return gaps
}

/** Whether a went further than b: b stands still, goes the same way less far, or went the other way. */
const beyond = (a: Exact, b: Exact): boolean => a !== ZERO && (sign(a) > 0 ? compare(a, b) > 0 : compare(a, b) < 0)

/** An exchange that was made and made back again is no exchange. */
const cameBack = (a: Tally, act: ExchangeAct): boolean => {
  const back = timesOf(a, { kind: 'exchange', from: act.to, to: act.from })
  return back > 0 && back >= timesOf(a, act)
}

const amountOf = (amount: Exact, pieces?: Pieces): Act => ({
  kind: sign(amount) < 0 ? 'take' : 'join',
  amount: sizeOf(amount),
  ...(pieces ? { pieces: [pieces] } : {}),
})

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
  const [one, other] = [tally(a, b.id), tally(b, a.id)]
  const ahead = gapsOf(one, other)
  // Two first numbers that do not agree are told once.
  const told = ahead.some((gap) => gap.instead !== null)
  const behind = gapsOf(other, one).filter((gap) => !told || gap.instead === null)
  const result = answer(problem)
  /** The answer stands there, but what is known to have been done does not lead to it, or not as in the other. */
  const copies = (side: Side, laid: Exact, missing: readonly Gap[]): boolean =>
    (side.shows === result || side.read === result) && laid !== result && (missing.length > 0 || side.value !== result)
  const first = one.laid === ZERO ? other.laid : one.laid
  const copied = first === ZERO ? null : copies(b, first, ahead) ? b.id : copies(a, first, behind) ? a.id : null
  return { gaps: [...ahead, ...behind], copied, agree: ahead.length + behind.length === 0 && copied === null }
}
