import { exact, isWhole, multiply, sign, toCount, type Exact } from '../number/exact'
import { MAX_DIGITS, valueOf } from '../number/numeral'
import { answer, asksMore, printProblem, type Problem } from './problem'

/** The other factor of a product of nine, from 1 to 10; undefined for every other problem. */
export function timesNine(problem: Problem): number | undefined {
  const [term] = problem.terms
  if (problem.terms.length !== 1 || term!.operation !== '*') return undefined
  const factors = [problem.first, term!.number].map(valueOf)
  const at = factors.indexOf(exact(9))
  if (at < 0) return undefined
  const other = factors[1 - at]!
  return /^(?:[1-9]|10)$/.test(other) ? toCount(other) : undefined
}

/** The other factor of a product of nine, a whole number from 1 up whose product can be named; undefined for every other problem. */
export function nineTimes(problem: Problem): Exact | undefined {
  const [term] = problem.terms
  if (problem.terms.length !== 1 || term!.operation !== '*' || asksMore(problem) || problem.groups) return undefined
  const factors = [problem.first, term!.number].map(valueOf)
  const at = factors.indexOf(exact(9))
  const other = factors[1 - at]
  const named = other && isWhole(other) && sign(other) > 0 && multiply(exact(10), other).length <= MAX_DIGITS
  return at >= 0 && named ? other : undefined
}

/**
 * Why the nines do not help with a problem; of two small numbers also what they would show, and that it is something else. `what` begins
 * the sentence: “These tricks hold”.
 */
export function whyNoNine(problem: Problem, what: string): string {
  const text = printProblem(problem).replaceAll(' * ', ' × ').replaceAll(' - ', ' − ').replaceAll(' / ', ' ÷ ')
  const [term] = problem.terms
  const small = [problem.first, ...(term ? [term.number] : [])].map(valueOf)
  const product = problem.terms.length === 1 && term!.operation === '*' && small.every((n) => /^(?:[1-9]|10)$/.test(n))
  const nine = product ? multiply(exact(9), small[0]!) : undefined
  const shown = nine
    ? ` For ${small[0]} they give ${nine}, which is ${small[0]} × 9; ${text} is ${answer(problem)}.`
    : ''
  return `${text} is not nine times a whole number. ${what} only for nine, which is ten less one.${shown}`
}
