import { exact, isWhole, multiply, sign, toCount, type Exact } from '../number/exact'
import { MAX_DIGITS, valueOf } from '../number/numeral'
import { answer, asksMore, printProblem, type Problem } from './problem'

/** The two factors of a product; undefined for every other problem. */
function factorsOf(problem: Problem): readonly [Exact, Exact] | undefined {
  const [term, more] = problem.terms
  if (!term || more || term.operation !== '*' || asksMore(problem) || problem.groups) return undefined
  return [valueOf(problem.first), valueOf(term.number)]
}

/** A number from 1 to 10, as many as there are fingers. */
const isSmall = (n: Exact): boolean => /^(?:[1-9]|10)$/.test(n)

/** What is taken nine times: a whole number from 1 up whose product can be named; undefined for every other problem. */
export function takenNineTimes(problem: Problem): Exact | undefined {
  const factors = factorsOf(problem)
  const at = factors?.indexOf(exact(9)) ?? -1
  const other = at < 0 ? undefined : factors![1 - at]
  const named = other && isWhole(other) && sign(other) > 0 && multiply(exact(10), other).length <= MAX_DIGITS
  return named ? other : undefined
}

/** The finger that is folded for nine times a number from 1 to 10; undefined for every other problem. */
export function fingerOf(problem: Problem): number | undefined {
  const n = takenNineTimes(problem)
  return n && isSmall(n) ? toCount(n) : undefined
}

/** The problem as a sentence has it. */
export const asProduct = (problem: Problem): string =>
  printProblem(problem).replaceAll(' * ', ' × ').replaceAll(' - ', ' − ').replaceAll(' / ', ' ÷ ')

/** Of a product of two small numbers, what the nines would make of the first, and that it is something else; empty for all others. */
export function nineInstead(problem: Problem): string {
  const [n, other] = factorsOf(problem) ?? []
  if (!n || !other || !isSmall(n) || !isSmall(other)) return ''
  return ` For ${n} they show ${multiply(exact(9), n)}, which is ${n} × 9; ${asProduct(problem)} is ${answer(problem)}.`
}
