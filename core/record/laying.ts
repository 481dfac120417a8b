import { after, change, type Act } from '../act/act'
import { owing, type Standing } from '../act/standing'
import { add, compare, negate, sign, sizeOf, ZERO } from '../number/exact'
import { valueOf } from '../number/numeral'
import { addPieces, type Pieces } from '../number/units'
import type { Setup } from '../plan/setup'
import { REPRESENTATIONS } from '../representation/index'
import { isUnfinished, type Owed, type Recognised, type RepresentationId } from '../representation/representation'
import { isAmount } from './comparing'
import type { Moment } from './moment'

/** More set out than the number the problem starts with, or null. */
export function laidTooMuch(setup: Setup, from: Moment, acts: readonly Act[]): Owed | null {
  if (from.standing.laid || acts.length === 0 || acts.some((a) => a.kind !== 'lay')) return null
  const there = acts.reduce((value, act) => after(value, act), from.standing.value)
  const asked = valueOf(setup.worked.first)
  return compare(there, asked) > 0 ? { kind: 'laid', there, asked } : null
}

/** Whether the first number lies there otherwise than asked. */
const liesOtherwise = (s: Standing): boolean =>
  s.aim.kind === 'total' && s.begun === 1 && s.laid && sign(owing(s)) !== 0

/** Whether something is taken from another number than the problem starts with; what was laid too much and goes back is put right. */
export function takesFromOther(s: Standing, [act]: readonly Act[]): boolean {
  if (!liesOtherwise(s) || act?.kind !== 'take') return false
  const [wanted, changed] = [owing(s), change(act)]
  return sign(wanted) !== sign(changed) || compare(sizeOf(changed), sizeOf(wanted)) > 0
}

/** Whether work goes on from another number than the problem starts with. */
export const startsElsewhere = ({ standing }: Moment, acts: readonly Act[]): boolean =>
  takesFromOther(standing, acts) || (liesOtherwise(standing) && acts[0]?.kind === 'pose')

/**
 * While the first number is being set out, what goes back is put right, not taken away: the net of it is what is laid. Of things
 * counted one each only what is too much goes back so, since returning them is also how they are taken.
 */
export function relaid(now: Moment, on: RepresentationId, move: unknown, known: Recognised): Recognised {
  const { open, states, stones, standing } = now
  const laidSoFar = stones.last?.acts ?? []
  if (!open || open.from.standing.laid || laidSoFar.some((a) => a.kind !== 'lay')) return undefined
  if (known && !isUnfinished(known) && known.every((a) => a.kind === 'lay')) return undefined
  const r = REPRESENTATIONS[on]
  const alone = r.recognise(states[on], [move])
  if (!alone) return undefined
  const acts = isUnfinished(alone) ? alone.soFar : alone
  const [act] = acts
  if (acts.length !== 1 || !act || !isAmount(act)) return undefined
  const counted = r.sorts.includes('counting') || (r.kind === 'drawn' && r.sorts.includes('places'))
  const tooMuch = negate(owing(standing))
  if (act.kind === 'take' && !isUnfinished(alone) && !(counted && compare(act.amount, tooMuch) <= 0)) return undefined
  const pieces = netPieces([...laidSoFar, act])
  const amount = add(standing.value, change(act))
  if (amount === ZERO) return { soFar: [], owed: { kind: 'nothing' } }
  return [{ kind: 'lay', amount, ...(pieces ? { pieces } : {}) }]
}

/** The pieces that laying and putting back come to; undefined where some act names none, or more went back than came. */
function netPieces(acts: readonly Act[]): readonly Pieces[] | undefined {
  let net: readonly Pieces[] = []
  for (const act of acts) {
    if (!isAmount(act) || !act.pieces) return undefined
    net = addPieces(net, act.pieces, act.kind === 'take' ? -1 : 1)
  }
  return net.every((p) => p.count > 0) ? net : undefined
}
