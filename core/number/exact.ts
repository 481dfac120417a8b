import Fraction from 'fraction.js'
import { Refusal } from '../refusal'

/**
 * An exact rational number as its canonical text: lowest terms, no plus sign, `/` only where it is no whole number
 * (`'253'`, `'-4'`, `'5/6'`). Being text, it is plain JSON as it stands, and two Exacts are equal exactly when `===` says so.
 */
export type Exact = string & { readonly exact: unique symbol }

const CANONICAL_WHOLE = /^(?:0|-?[1-9]\d*)$/

const print = (f: Fraction): Exact => f.toFraction() as Exact
const read = (e: Exact): Fraction => new Fraction(e)

/** Whole numbers of up to 15 digits go through machine integers, where they are still exact; the rest through BigInt fractions. */
const small = (e: string): number | undefined => (e.length <= 15 && !e.includes('/') ? Number(e) : undefined)

function combine(
  a: Exact,
  b: Exact,
  quick: (x: number, y: number) => number,
  slow: (x: Fraction, y: Fraction) => Fraction,
): Exact {
  const x = small(a)
  const y = small(b)
  if (x !== undefined && y !== undefined) {
    const result = quick(x, y)
    if (Number.isSafeInteger(result)) return String(result === 0 ? 0 : result) as Exact
  }
  return print(slow(read(a), read(b)))
}

/**
 * Reads an exact number from a machine integer, a bigint, or text such as `'-4'`, `'5/6'`, `'7.45'`.
 * @throws Refusal when the text is no such number or a denominator is 0.
 */
export function exact(value: number | bigint | string): Exact {
  if (typeof value === 'bigint') return String(value) as Exact
  if (typeof value === 'number') {
    if (!Number.isSafeInteger(value)) throw new Error(`exact() takes whole machine numbers only, not ${value}`)
    return String(value === 0 ? 0 : value) as Exact
  }
  if (CANONICAL_WHOLE.test(value)) return value as Exact
  if (!/^[-−]?\d+(?:\.\d+|\/\d+)?$/.test(value)) throw new Refusal(`“${value.slice(0, 20)}” is not a number.`)
  if (/\/0+$/.test(value)) throw new Refusal('A fraction cannot have nought below the line.')
  return print(new Fraction(value.replace('−', '-')))
}

export const ZERO = '0' as Exact

export const add = (a: Exact, b: Exact): Exact =>
  combine(
    a,
    b,
    (x, y) => x + y,
    (x, y) => x.add(y),
  )
export const subtract = (a: Exact, b: Exact): Exact =>
  combine(
    a,
    b,
    (x, y) => x - y,
    (x, y) => x.sub(y),
  )
export const multiply = (a: Exact, b: Exact): Exact =>
  combine(
    a,
    b,
    (x, y) => x * y,
    (x, y) => x.mul(y),
  )
/** a ÷ b. @throws Refusal when b is 0. */
export function divide(a: Exact, b: Exact): Exact {
  if (b === ZERO) throw new Refusal('Nothing can be divided by nought.')
  return print(read(a).div(read(b)))
}
export const negate = (a: Exact): Exact => subtract(ZERO, a)
/** −1, 0 or 1: whether a is less than, equal to or greater than b. */
export function compare(a: Exact, b: Exact): number {
  if (a === b) return 0
  const [x, y] = [small(a), small(b)]
  return x !== undefined && y !== undefined ? Math.sign(x - y) : sign(subtract(a, b))
}
export const sign = (a: Exact): number => (a === ZERO ? 0 : a.startsWith('-') ? -1 : 1)
/** How far from nought: the number without its sign. */
export const sizeOf = (a: Exact): Exact => (sign(a) < 0 ? negate(a) : a)
export const sum = (values: Iterable<Exact>): Exact => [...values].reduce(add, ZERO)

/** What so many of each are worth together: of machine integers where all are, else exactly. */
export function sumOf(terms: readonly { readonly count: number; readonly unit: Exact }[]): Exact {
  let total = 0
  for (const { count, unit } of terms) {
    const worth = small(unit)
    if (worth === undefined) return sum(terms.map((t) => multiply(exact(t.count), t.unit)))
    total += count * worth
  }
  return Number.isSafeInteger(total) ? exact(total) : sum(terms.map((t) => multiply(exact(t.count), t.unit)))
}
export const isWhole = (a: Exact): boolean => !a.includes('/')

/** The numerator (with its sign) and the denominator of an Exact in lowest terms. */
export function parts(a: Exact): { readonly numerator: bigint; readonly denominator: bigint } {
  const [numerator, denominator = '1'] = a.split('/')
  return { numerator: BigInt(numerator!), denominator: BigInt(denominator) }
}

/** How many whole times b goes into a, which has the same sign, and what is left. @throws Refusal when b is 0. */
export function timesIn(a: Exact, b: Exact): { readonly times: number; readonly rest: Exact } {
  const [x, y] = [small(a), small(b)]
  if (x !== undefined && y !== undefined && y !== 0) return { times: Math.trunc(x / y), rest: exact(x % y) }
  const { numerator, denominator } = parts(divide(a, b))
  const times = toCount(exact(numerator / denominator))
  return { times, rest: subtract(a, multiply(exact(times), b)) }
}

/** A whole Exact as a machine integer. For counts of pieces and digits, never for values that could outgrow 2^53. */
export function toCount(a: Exact): number {
  const n = Number(a)
  if (!Number.isSafeInteger(n)) throw new Error(`${a} is no count`)
  return n
}
