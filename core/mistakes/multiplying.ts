import { add, exact, multiply, sum, toCount, type Exact } from '../number/exact'
import { digitsOf } from '../number/places'
import { fingerOf } from '../problem/nines'
import { placesIn, productOf, topAndBy, type Part } from '../problem/product'
import type { Problem } from '../problem/problem'
import { comingTo, type Procedure } from './procedure'

/** Mistaken ways of multiplying (practice, sections 13 and 14; common practice, no source). */

/** What a mistaken way comes to. */
const wrongly =
  (work: (of: Part, problem: Problem) => readonly Exact[]): Procedure['computes'] =>
  (problem) => {
    const of = productOf(problem)
    return of ? comingTo(work(of, problem)) : []
  }

/** Of written multiplication by one digit: its digits from the ones up, and by what they are multiplied. */
function byOneDigit(of: Part): { readonly digits: readonly number[]; readonly times: number } | null {
  const { top, by } = topAndBy(of)
  return by.length === 1 && top.length > 1 ? { digits: digitsOf(top), times: toCount(by) } : null
}

/** Written multiplication with each digit worked by `column`, which is given the carry. */
function columnwise(of: Part, column: (digit: number, times: number, carry: number) => number): readonly Exact[] {
  const written = byOneDigit(of)
  if (!written) return []
  const { digits, times } = written
  let [carry, text] = [0, '']
  for (const [i, digit] of digits.entries()) {
    const made = column(digit, times, carry)
    carry = Math.floor(made / 10)
    text = `${i === digits.length - 1 ? made : made % 10}${text}`
  }
  return [exact(BigInt(text))]
}

export const leftAsOnes: Procedure = {
  id: 'left-as-ones',
  name: 'counted the fingers to the left as ones',
  computes: wrongly((_, problem) => ((fingerOf(problem) ?? 1) > 1 ? [exact(9)] : [])),
}

export const notMovedOver: Procedure = {
  id: 'not-moved-over',
  name: 'did not move the second row over',
  computes: wrongly((of) => {
    const { top, by } = topAndBy(of)
    return by.length === 2 ? [sum(digitsOf(by).map((d) => multiply(exact(d), top)))] : []
  }),
}

export const oneColumnOnly: Procedure = {
  id: 'one-column-only',
  name: 'multiplied one column only',
  computes: wrongly((of) => {
    const { top, by } = topAndBy(of)
    const [lowest, ...rest] = placesIn(top)
    return top.length > 1 && lowest ? [add(multiply(lowest, by), sum(rest))] : []
  }),
}

export const carryBefore: Procedure = {
  id: 'carry-before',
  name: 'added the carry before multiplying',
  computes: wrongly((of) => columnwise(of, (digit, times, carry) => (digit + carry) * times)),
}

export const carryDropped: Procedure = {
  id: 'carry-dropped',
  name: 'forgot to add the carry',
  computes: wrongly((of) => columnwise(of, (digit, times) => digit * times)),
}

export const addsFactors: Procedure = {
  id: 'adds-factors',
  name: 'added instead of multiplying',
  computes: wrongly(({ count, size }) => [add(count, size)]),
}
