import { add, exact, multiply, sign, subtract, type Exact } from '../number/exact'
import { productOf } from '../problem/product'
import { quotientOf } from '../problem/problem'
import { comingTo, type Procedure } from './procedure'

/** Groups that were miscounted, in multiplying and in dividing (practice, section 14; common practice, no source). */

const ONE = exact(1)

/** One group more or fewer than there should be, of either factor; of a quotient, one more or fewer each. */
const oneOff =
  (change: (n: Exact, by: Exact) => Exact): Procedure['computes'] =>
  (problem) => {
    const [product, quotient] = [productOf(problem), quotientOf(problem)]
    if (product) {
      const { count, size } = product
      return comingTo([multiply(change(count, ONE), size), multiply(count, change(size, ONE))])
    }
    const off = quotient && change(quotient.value, ONE)
    // What is left over was reckoned as it should be; only the groups were miscounted.
    return off && sign(off) >= 0 ? [{ value: off, remainder: quotient.remainder }] : []
  }

export const groupTooFew: Procedure = { id: 'group-too-few', name: 'one group too few', computes: oneOff(subtract) }
export const groupTooMany: Procedure = { id: 'group-too-many', name: 'one group too many', computes: oneOff(add) }
