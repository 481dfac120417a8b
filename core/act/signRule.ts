import type { RewriteAct, Sum } from './act'
import { add, compare, negate, sign, sizeOf, subtract, type Exact } from '../number/exact'
import type { Sign } from '../problem/problem'

/** The rule of signs (practice, section 10; common practice, no source). */

const sumOf = (first: Exact, operation: Sign, second: Exact): Sum => [
  { operation: '+', number: first },
  { operation, number: second },
]
const one = (number: Exact): Sum => [{ operation: '+', number }]

/** The steps in which the rule of signs works a number into a total, before the answer is written. */
export function ruleSteps(total: Exact, operation: Sign, number: Exact): readonly RewriteAct[] {
  const steps: RewriteAct[] = []
  const plus = operation === '+' ? number : negate(number)
  // A plain subtraction of numbers from nought up needs no rule.
  const plain = sign(total) >= 0 && sign(number) >= 0 && (operation === '+' || compare(total, number) >= 0)
  if (plain || sign(number) === 0 || sign(total) === 0) return steps
  if (operation === '-')
    steps.push({
      kind: 'rewrite',
      left: sumOf(total, '-', number),
      right: sumOf(total, '+', plus),
      rule: 'opposite',
    })
  const [a, b] = [sizeOf(total), sizeOf(plus)]
  if (sign(total) > 0 && sign(plus) > 0) return steps
  if (sign(total) === sign(plus))
    return [...steps, { kind: 'rewrite', left: sumOf(a, '+', b), right: one(add(a, b)), rule: 'same-signs' }]
  if (a === b) return steps
  if (sign(total) < 0 && compare(b, a) > 0)
    return [...steps, { kind: 'rewrite', left: sumOf(total, '+', b), right: sumOf(b, '-', a), rule: 'commute' }]
  const [longer, shorter] = compare(a, b) > 0 ? [a, b] : [b, a]
  return [
    ...steps,
    {
      kind: 'rewrite',
      left: sumOf(longer, '-', shorter),
      right: one(subtract(longer, shorter)),
      rule: 'different-signs',
    },
  ]
}
