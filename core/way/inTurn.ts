import type { Act } from '../act/act'
import { isRead, owing, termDone, type Standing } from '../act/standing'
import { negate, sign, type Exact } from '../number/exact'
import { valueOf } from '../number/numeral'
import type { Problem } from '../problem/problem'

/** The number of the chain begun last. */
export const inHand = (problem: Problem, s: Standing): Exact =>
  valueOf(s.begun === 1 ? problem.first : problem.terms[s.begun - 2]!.number)

/** All that is left of the number in hand, in one, as it is asked; what went too far goes back. */
function restInOne(problem: Problem, s: Standing): Act {
  const rest = owing(s)
  const back = sign(rest) !== 0 && sign(rest) !== sign(inHand(problem, s))
  const kind = (s.doing === '-') === back ? 'join' : 'take'
  return { kind, amount: back ? negate(rest) : rest }
}

/**
 * What ways that work one number after another share: asking it, setting out the first by `lay`, what is left of it, the next one, and
 * reading. `work` is what the way itself does next, with the number in hand or with what stands there; null leaves it to what is shared.
 */
export function inTurn(problem: Problem, s: Standing, lay: () => Act, work: () => Act | null): Act | null {
  if (sign(s.unposed) > 0) return { kind: 'pose', operation: s.doing === '-' ? '-' : '+', amount: s.unposed }
  if (!s.laid) return lay()
  const own = work()
  if (own) return own
  if (!termDone(s)) return restInOne(problem, s)
  const next = problem.terms[s.begun - 1]
  if (next && (next.operation === '+' || next.operation === '-'))
    return { kind: 'pose', operation: next.operation, amount: valueOf(next.number) }
  return isRead(s) ? null : { kind: 'read', value: s.value }
}
