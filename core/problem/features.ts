import { sizeOf, type Exact } from '../number/exact'
import { digitsOf, type Place } from '../number/places'
import { valueOf } from '../number/numeral'
import { decimalsIn, totals, type Operation, type Problem, type Term } from './problem'

/** What one operation of a chain of whole numbers asks of the learner. */
export interface TermFeatures {
  readonly operation: Operation
  /** Digits of the number worked on and of the number added or taken away. */
  readonly digits: readonly [number, number]
  /** Places at which ten are made (adding) or a next-higher one is broken (taking away), ones first. */
  readonly exchanges: readonly Place[]
  /** Of those, the places at which the next place up is nought, so that the exchange must come from farther off. */
  readonly acrossZero: readonly Place[]
}

/** The features of each operation, in order. For whole numbers and decimals. */
export function features(problem: Problem): readonly TermFeatures[] {
  const reached = totals(problem)
  const decimals = decimalsIn(problem)
  return problem.terms.map((term, i) => featuresOf(reached[i]!, term, decimals))
}

/** The features of one operation on the total reached so far. Below nought the sizes are compared: that asks another thing of the learner than exchanging. */
export function featuresOf(total: Exact, { operation, number }: Term, decimals: number): TermFeatures {
  const above = digitsOf(sizeOf(total), 1, decimals)
  const below = digitsOf(sizeOf(valueOf(number)), 1, decimals)
  const exchanges: Place[] = []
  const acrossZero: Place[] = []
  let moved = 0
  for (let p = 0; p < Math.max(above.length, below.length); p++) {
    const x = above[p] ?? 0
    const y = below[p] ?? 0
    const exchanged = operation === '+' ? x + y + moved > 9 : operation === '-' ? x - moved < y : false
    if (exchanged) {
      exchanges.push(p - decimals)
      if (operation === '-' && above[p + 1] === 0) acrossZero.push(p - decimals)
    }
    moved = exchanged ? 1 : 0
  }
  return { operation, digits: [above.length, below.length], exchanges, acrossZero }
}

const alike = (a: readonly number[], b: readonly number[]): boolean =>
  a.length === b.length && a.every((n, i) => n === b[i])

/** Whether two operations ask the same of the learner. */
export const sameFeatures = (a: TermFeatures, b: TermFeatures): boolean =>
  a.operation === b.operation &&
  alike(a.digits, b.digits) &&
  alike(a.exchanges, b.exchanges) &&
  alike(a.acrossZero, b.acrossZero)
