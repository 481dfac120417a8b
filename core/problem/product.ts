import { compare, exact, isWhole, multiply, sign, type Exact } from '../number/exact'
import { placeParts, digitsOf } from '../number/places'
import { MAX_DIGITS, valueOf } from '../number/numeral'
import { answer, asksMore, quotientOf, type Problem } from './problem'

/** One part of a product: so many times a size. */
export interface Part {
  readonly count: Exact
  readonly size: Exact
}

/** A product of two whole numbers from 1 up, as it is asked: so many groups of a size; undefined for every other problem. */
export function productOf(problem: Problem): Part | undefined {
  const [term, more] = problem.terms
  if (!term || more || term.operation !== '*' || problem.groups || asksMore(problem)) return undefined
  const [count, size] = [valueOf(problem.first), valueOf(term.number)]
  const known = [count, size].every((n) => isWhole(n) && sign(n) > 0)
  return known && compare(multiply(count, size), exact(10 ** MAX_DIGITS - 1)) <= 0 ? { count, size } : undefined
}

export const worthOfPart = ({ count, size }: Part): Exact => multiply(count, size)

/** The number that stands above in written multiplication, and the one by which it is multiplied: the shorter one, or the second. */
export const topAndBy = ({ count, size }: Part): { readonly top: Exact; readonly by: Exact } =>
  size.length > count.length ? { top: size, by: count } : { top: count, by: size }

/** The hundreds, tens and ones of a whole number that are not nought, the ones first. */
export const placesIn = (n: Exact): readonly Exact[] => [...placeParts(digitsOf(n))].reverse()

/** The parts of a product, digit by digit: in the order of writing (ones first), or the greatest first. */
export function partsByDigit(of: Part, order: 'ones' | 'greatest'): readonly Part[] {
  const { top, by } = topAndBy(of)
  const [tops, bys] = [placesIn(top), placesIn(by)].map((ps) => (order === 'ones' ? ps : [...ps].reverse()))
  return bys!.flatMap((count) => tops!.map((size) => ({ count, size })))
}

/** How equal groups are split into easier ones: five or ten of them, or two, and the rest. */
export function easierParts({ count, size }: Part): readonly Part[] {
  const n = Number(count)
  const first = n > 10 ? 10 : n > 5 ? 5 : n > 2 ? 2 : 1
  return n < 2
    ? [{ count, size }]
    : [
        { count: exact(first), size },
        { count: exact(n - first), size },
      ]
}

/** Whether a problem multiplies or divides whole things, no more of them than `greatest` at any time. */
export function isGrouping(problem: Problem, greatest: Exact): boolean {
  const product = productOf(problem)
  const most = product ? worthOfPart(product) : problem.groups ? answer(problem) : quotientOf(problem)?.of
  return most !== undefined && compare(most, greatest) <= 0
}
