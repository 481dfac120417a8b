import { add, exact, sign, subtract, toCount, type Exact } from '../number/exact'
import { quotientOf, type Quotient } from '../problem/problem'
import { comingTo, type Procedure } from './procedure'

/** Mistaken ways of long division (practice, sections 13 and 14; common practice, no source). All tell what was read as the quotient. */

/** The quotient that a mistaken way comes to. */
const wrongly =
  (work: (of: Quotient) => readonly (Exact | null)[]): Procedure['computes'] =>
  (problem) => {
    const of = quotientOf(problem)
    return of && of.by !== '0' ? comingTo(work(of)) : []
  }

const whole = (text: string): Exact | null => (text === '' ? null : exact(text))

export const zeroLeftOut: Procedure = {
  id: 'zero-left-out',
  name: 'left out the 0 in the quotient',
  computes: wrongly(({ value }) => (value === '0' ? [] : [whole(value.replaceAll('0', ''))])),
}

export const notBroughtDown: Procedure = {
  id: 'not-brought-down',
  name: 'forgot to bring down',
  // Only the digits found until then stand in the quotient.
  computes: wrongly(({ value }) => Array.from(value, (_, i) => whole(value.slice(0, i)))),
}

/** Each column taken the smaller from the greater, whichever stands on top. */
const upwards = (a: number, b: number): number =>
  Number(
    Array.from(String(a), (d, i) => {
      const under = String(b).padStart(String(a).length, '0')[i]
      return Math.abs(Number(d) - Number(under))
    }).join(''),
  )

export const subtractedUpwards: Procedure = {
  id: 'subtracted-upwards',
  name: 'subtracted upwards: the smaller digit from the greater',
  computes: wrongly(({ of, by }) => {
    const divisor = toCount(by)
    let [left, digits] = [0, '']
    for (const d of of) {
      const stands = left * 10 + Number(d)
      const digit = Math.min(9, Math.floor(stands / divisor))
      left = upwards(stands, digit * divisor)
      digits += digit
    }
    return [whole(digits)]
  }),
}

export const remainderTooLarge: Procedure = {
  id: 'remainder-too-large',
  name: 'left a remainder that is not smaller than the divisor',
  computes: (problem) => {
    const of = quotientOf(problem)
    if (!of || of.by === '0' || sign(of.value) <= 0) return []
    return [{ value: subtract(of.value, exact(1)), remainder: add(of.remainder, of.by) }]
  },
}
