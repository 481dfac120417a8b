import type { Act } from '../act/act'
import { isRead, owing, termDone, type Standing } from '../act/standing'
import { negate, sign, type Exact } from '../number/exact'
import { valueOf, type Numeral } from '../number/numeral'
import { numberText } from '../number/text'
import { has, piecesOfNumeral, worthOf } from '../number/units'
import type { Problem, Sign } from '../problem/problem'

/** The number of the chain begun last. */
export const inHand = (problem: Problem, s: Standing): Exact =>
  valueOf(s.begun === 1 ? problem.first : problem.terms[s.begun - 2]!.number)

/** All that is left of the number in hand, in one, as it is asked; what went too far goes back. */
function restInOne(problem: Problem, s: Standing): Act {
  const rest = owing(s)
  const back = sign(rest) !== 0 && sign(rest) !== sign(inHand(problem, s))
  const kind = (s.doing === '-') === back ? 'join' : 'take'
  const amount = back ? negate(rest) : rest
  // Parts keep their size: 4/8 is put in as four eighths.
  const own = s.units.fractions && !back && worthOf(s.left) === amount && has(s.units, s.left)
  return own ? { kind, amount, pieces: s.left } : { kind, amount }
}

/** The next number asked; a fraction with the very parts that it names. */
export function posed(operation: Sign, number: Numeral, s: Standing): Act {
  const amount = valueOf(number)
  const pieces = s.units.fractions ? piecesOfNumeral(number, amount, s.units) : undefined
  return { kind: 'pose', operation, amount, ...(pieces && has(s.units, pieces) ? { pieces } : {}) }
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
  if (next && (next.operation === '+' || next.operation === '-')) return posed(next.operation, next.number, s)
  if (isRead(s)) return null
  const as = s.units.fractions ? { as: numberText(s.value, s.units, s.held) } : {}
  return { kind: 'read', value: s.value, ...as }
}
