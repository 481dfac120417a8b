import { valueOf, type Numeral } from '../number/numeral'
import { compare, isWhole, sign, ZERO } from '../number/exact'
import { kindOf } from '../problem/features'
import { printProblem, totals, WORKED, type Problem, type Term } from '../problem/problem'
import { seeded, between, type Random } from './random'

const TRIES = 4000

/** A number written with as many digits, before and after the point, as `like`, chosen by chance. */
function sized(like: Numeral, random: Random): Numeral {
  if (like.form === 'fraction') return like
  const digits = like.digits.replace(/^0+(?=.)/, '')
  if (digits === '0') return like
  const lowest = digits.length === 1 ? 1 : 10 ** (digits.length - 1)
  const chosen = String(between(random, lowest, 10 ** digits.length - 1))
  return { ...like, digits: chosen.padStart(like.decimals + 1, '0') }
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
  const below = totals(problem).some((t) => sign(t) < 0)
  for (let i = 0; i < TRIES; i++) {
    const first = sized(problem.first, random)
    let total = valueOf(first)
    const terms: Term[] = []
    for (const { operation, number } of problem.terms) {
      const chosen = sized(number, random)
      const value = valueOf(chosen)
      if (operation === '/' && value === ZERO) break
      total = WORKED[operation](total, value)
      if ((compare(total, ZERO) < 0 && !below) || (operation === '/' && !isWhole(total))) break
      terms.push({ operation, number: chosen })
    }
    if (terms.length < problem.terms.length) continue
    const found = { first, terms }
    if (kindOf(found) === kind && !used.has(printProblem(found)) && suits(found)) return found
  }
  return undefined
}
