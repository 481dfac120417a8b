import { isWhole, multiply, sign } from '../number/exact'
import { MAX_DIGITS, numeralOf, valueOf, type Numeral } from '../number/numeral'
import { Refusal } from '../refusal'
import type { Group, Problem, Term } from './problem'
import type { Item } from './tokens'

/** How a product in a sum is made: one group of whole numbers, from nought up. @throws Refusal for every other product. */
function groupOf(count: Numeral, size: Numeral): Group {
  if (![count, size].every((n) => isWhole(valueOf(n)) && sign(valueOf(n)) >= 0))
    throw new Refusal('In a sum of groups, how many and how large are whole numbers.', 'Like 3 × 25 + 2 × 10.')
  return { count, size }
}

/** A sum of equal groups: `3 * 25 + 2 * 10 + 4 * 1`. @throws Refusal where something else is mixed with products. */
export function sumOfGroups(all: readonly Item[]): Problem {
  const groups = all.flatMap((count, i): readonly Group[] => {
    const size = all[i + 1]
    return i % 2 === 0 && size?.operation === '*' && count.operation === '+' ? [groupOf(count.number, size.number)] : []
  })
  if (2 * groups.length !== all.length)
    throw new Refusal('Multiplying and dividing stand alone here.', 'Ask one step, like 7 × 9 or 36 ÷ 9.')
  const numbers = groups.map(({ count, size }) => multiply(valueOf(count), valueOf(size)))
  if (numbers.some((n) => n.length > MAX_DIGITS))
    throw new Refusal(`One of those groups comes to more than ${MAX_DIGITS} digits.`, 'Ask for fewer of them.')
  const [first, ...rest] = numbers.map(numeralOf)
  return { first: first!, terms: rest.map((number): Term => ({ operation: '+', number })), groups }
}
