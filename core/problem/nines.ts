import { exact, toCount } from '../number/exact'
import { valueOf } from '../number/numeral'
import type { Problem } from './problem'

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
