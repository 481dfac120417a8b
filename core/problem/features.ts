import { sizeOf } from '../number/exact'
import { digitsOf, type Place } from '../number/places'
import { valueOf } from '../number/numeral'
import { decimalsIn, totals, type Operation, type Problem } from './problem'

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

/** The features of each operation, in order. For whole numbers and decimals whose totals never fall below nought. */
export function features(problem: Problem): readonly TermFeatures[] {
  const reached = totals(problem)
  const decimals = decimalsIn(problem)
  return problem.terms.map((term, i) => {
    const b = valueOf(term.number)
    // Below nought the sizes are compared: what is asked of the learner there is another thing than exchanging.
    const above = digitsOf(sizeOf(reached[i]!), 1, decimals)
    const below = digitsOf(sizeOf(b), 1, decimals)
    const exchanges: Place[] = []
    const acrossZero: Place[] = []
    let moved = 0
    for (let p = 0; p < Math.max(above.length, below.length); p++) {
      const x = above[p] ?? 0
      const y = below[p] ?? 0
      const exchanged = term.operation === '+' ? x + y + moved > 9 : term.operation === '-' ? x - moved < y : false
      if (exchanged) {
        exchanges.push(p - decimals)
        if (term.operation === '-' && above[p + 1] === 0) acrossZero.push(p - decimals)
      }
      moved = exchanged ? 1 : 0
    }
    return { operation: term.operation, digits: [above.length, below.length], exchanges, acrossZero }
  })
}

/** Two problems of one kind ask the same of a learner in every operation; this text is equal for them. */
export const kindOf = (problem: Problem): string => JSON.stringify(features(problem))
