import { add, compare, exact, multiply, parts, sign, sizeOf, type Exact } from './exact'

/** What fractions need besides exact arithmetic: common denominators, and how one is written. */

/** The greatest common divisor of two whole numbers, not below nought. */
export const gcd = (a: bigint, b: bigint): bigint => (b === 0n ? a : gcd(b, a % b))

/** The least common multiple of whole numbers from 1 up; 1 of none. */
export const lcm = (numbers: readonly bigint[]): bigint => numbers.reduce((all, n) => (all / gcd(all, n)) * n, 1n)

/** The denominator of a number in lowest terms. */
export const denominatorOf = (value: Exact): bigint => parts(value).denominator

/** How many of a kind make a whole: 8 of an eighth, 1 of a whole. */
export const cutOf = (unit: Exact): number => Number(denominatorOf(unit))

/** One of so many equal parts: `1/8` of 8. */
export const partUnit = (denominator: bigint | number): Exact => exact(`1/${denominator}`)

/** A whole number and a rest of the same sign, less than one: −7/5 is −1 and −2/5. */
export function wholeAndRest(value: Exact): { readonly whole: Exact; readonly rest: Exact } {
  const { numerator, denominator } = parts(value)
  const whole = exact(numerator / denominator)
  return { whole, rest: add(value, multiply(whole, exact(-1))) }
}

/** Whether a number is a decimal of up to three places: only tens, halves and fifths make up its parts. */
export const isDecimal = (value: Exact): boolean => 1000n % denominatorOf(value) === 0n

/** How two numbers stand to each other: `<`, `=` or `>`. */
export type Relation = '<' | '=' | '>'
export const relationOf = (a: Exact, b: Exact): Relation => {
  const order = compare(a, b)
  return order < 0 ? '<' : order > 0 ? '>' : '='
}

/** A fraction with a whole number before it, as it is written in plain text: `2 2/5`, `-1 1/2`, `7/5`, `3`. */
export function mixedText(whole: bigint, top: bigint, bottom: bigint, below: boolean): string {
  const minus = below ? '-' : ''
  if (top === 0n) return `${whole === 0n ? '' : minus}${whole}`
  return `${minus}${whole === 0n ? '' : `${whole} `}${top}/${bottom}`
}

/** A number as a fraction with nothing known of how it is made: in lowest terms, the whole number before it. */
export function lowestText(value: Exact): string {
  const { whole, rest } = wholeAndRest(sizeOf(value))
  const { numerator, denominator } = parts(rest)
  return mixedText(BigInt(whole), numerator, denominator, sign(value) < 0)
}
