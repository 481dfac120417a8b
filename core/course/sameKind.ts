import { digitsOf } from '../number/places'
import { numeralOf, valueOf } from '../number/numeral'
import { compare, exact, isWhole, ZERO, type Exact } from '../number/exact'
import { kindOf } from '../problem/features'
import { printProblem, WORKED, type Problem, type Term } from '../problem/problem'
import { seeded, between, type Random } from './random'

const TRIES = 4000

/** A number with as many digits as `like`, chosen by chance. */
function sized(like: Exact, random: Random): Exact {
  const digits = digitsOf(like).length
  const lowest = digits === 1 ? (like === ZERO ? 0 : 1) : 10 ** (digits - 1)
  return like === ZERO ? ZERO : exact(between(random, lowest, 10 ** digits - 1))
}

/**
 * Another problem that asks the same of the learner: as many numbers of as many digits, the same operations, and
 * exchanges at the same places. The same seed gives the same problem. `avoid` holds problems (as text) not to set again; `suits` says
 * what the material on the mat can hold.
 * Undefined where none was found, which happens when the kind has hardly any members.
 */
export function sameKind(
  problem: Problem,
  seed: number,
  avoid: readonly string[] = [],
  suits: (problem: Problem) => boolean = () => true,
): Problem | undefined {
  const kind = kindOf(problem)
  const random = seeded(seed)
  const used = new Set([printProblem(problem), ...avoid])
  for (let i = 0; i < TRIES; i++) {
    let total = sized(valueOf(problem.first), random)
    const first = numeralOf(total)
    const terms: Term[] = []
    for (const { operation, number } of problem.terms) {
      const value = sized(valueOf(number), random)
      if (operation === '/' && value === ZERO) break
      total = WORKED[operation](total, value)
      if (compare(total, ZERO) < 0 || !isWhole(total)) break
      terms.push({ operation, number: numeralOf(value) })
    }
    if (terms.length < problem.terms.length) continue
    const found = { first, terms }
    if (kindOf(found) === kind && !used.has(printProblem(found)) && suits(found)) return found
  }
  return undefined
}
