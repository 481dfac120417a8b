import { add, exact, multiply, sign, subtract, type Exact } from '../number/exact'
import { productOf } from '../problem/product'
import { answer, quotientOf, type Problem } from '../problem/problem'
import type { Procedure } from './procedure'

/** Groups that were miscounted, in multiplying and in dividing (practice, section 14; common practice, no source). */

const ONE = exact(1)

/** One group more or fewer than there should be, of either factor; of a quotient, one more or fewer each. */
const oneOff =
  (change: (n: Exact, by: Exact) => Exact) =>
  (problem: Problem): readonly Exact[] => {
    const [product, quotient] = [productOf(problem), quotientOf(problem)]
    if (product) {
      const { count, size } = product
      return [multiply(change(count, ONE), size), multiply(count, change(size, ONE))].filter(
        (n) => n !== answer(problem),
      )
    }
    return quotient ? [change(quotient.value, ONE)].filter((n) => sign(n) >= 0) : []
  }

export const groupTooFew: Procedure = { id: 'group-too-few', name: 'one group too few', answers: oneOff(subtract) }
export const groupTooMany: Procedure = { id: 'group-too-many', name: 'one group too many', answers: oneOff(add) }
