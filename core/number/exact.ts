import Fraction from 'fraction.js'
import { Refusal } from '../refusal'

/**
 * An exact rational number as its canonical text: lowest terms, no plus sign, `/` only where it is no whole number
 * (`'253'`, `'-4'`, `'5/6'`). Being text, it is plain JSON as it stands, and two Exacts are equal exactly when `===` says so.
 */
export type Exact = string & { readonly exact: unique symbol }

export const ZERO = '0' as Exact

const CANONICAL_WHOLE = /^(?:0|-?[1-9]\d*)$/

const print = (f: Fraction): Exact => f.toFraction() as Exact
const read = (e: Exact): Fraction => new Fraction(e)

/** What machine integers hold goes through them, where it is still exact; the rest through BigInt fractions. */
const small = (e: string): number | undefined => (e.length <= 15 && !e.includes('/') ? Number(e) : undefined)

/** A number as machine integers over each other; undefined where they could not hold it. */
type Pair = readonly [number, number]
function pairOf(e: string): Pair | undefined {
  if (e.length > 16) return undefined
  const slash = e.indexOf('/')
  return slash < 0 ? [Number(e), 1] : [Number(e.slice(0, slash)), Number(e.slice(slash + 1))]
}

/** n over d in lowest terms; undefined where either has outgrown a machine integer. */
function lowest(n: number, d: number): Exact | undefined {
  if (!Number.isSafeInteger(n) || !Number.isSafeInteger(d) || d === 0) return undefined
  if (n === 0) return ZERO
  let [x, y] = [Math.abs(n), Math.abs(d)]
  while (y !== 0) [x, y] = [y, x % y]
  const [top, bottom] = d < 0 ? [-n / x, -d / x] : [n / x, d / x]
  return (bottom === 1 ? String(top) : `${top}/${bottom}`) as Exact
}

/** The sum of two products, where all three are machine integers. */
const crossed = ([a, b]: Pair, [c, d]: Pair, way: 1 | -1): number => {
  const [x, y] = [a * d, c * b]
  return Number.isSafeInteger(x) && Number.isSafeInteger(y) ? x + way * y : NaN
}

function combine(
  a: Exact,
  b: Exact,
  quick: (x: Pair, y: Pair) => Exact | undefined,
  slow: (x: Fraction, y: Fraction) => Fraction,
): Exact {
  const [x, y] = [pairOf(a), pairOf(b)]
  return (x && y && quick(x, y)) ?? print(slow(read(a), read(b)))
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
  const plain = value.replace('−', '-')
  const [top = '', places] = plain.split('.')
  const pair = places === undefined ? pairOf(plain) : pairOf(`${top}${places}/1${'0'.repeat(places.length)}`)
  return (pair && lowest(...pair)) ?? print(new Fraction(plain))
}

/** Of two whole numbers that machine integers hold, what these make of them; undefined where either is none, or the result is none. */
function quickly(a: Exact, b: Exact, work: (x: number, y: number) => number): Exact | undefined {
  const [x, y] = [small(a), small(b)]
  if (x === undefined || y === undefined) return undefined
  const result = work(x, y)
  return Number.isSafeInteger(result) ? (String(result === 0 ? 0 : result) as Exact) : undefined
}
const plus = (x: number, y: number): number => x + y
const minus = (x: number, y: number): number => x - y
const times = (x: number, y: number): number => x * y
const plusPairs = (x: Pair, y: Pair): Exact | undefined => lowest(crossed(x, y, 1), x[1] * y[1])
const minusPairs = (x: Pair, y: Pair): Exact | undefined => lowest(crossed(x, y, -1), x[1] * y[1])
const timesPairs = (x: Pair, y: Pair): Exact | undefined => lowest(x[0] * y[0], x[1] * y[1])
const overPairs = (x: Pair, y: Pair): Exact | undefined => lowest(x[0] * y[1], x[1] * y[0])

export const add = (a: Exact, b: Exact): Exact => quickly(a, b, plus) ?? combine(a, b, plusPairs, (x, y) => x.add(y))
export const subtract = (a: Exact, b: Exact): Exact =>
  quickly(a, b, minus) ?? combine(a, b, minusPairs, (x, y) => x.sub(y))
export const multiply = (a: Exact, b: Exact): Exact =>
  quickly(a, b, times) ?? combine(a, b, timesPairs, (x, y) => x.mul(y))
/** a ÷ b. @throws Refusal when b is 0. */
export function divide(a: Exact, b: Exact): Exact {
  if (b === ZERO) throw new Refusal('Nothing can be divided by nought.')
  return combine(a, b, overPairs, (x, y) => x.div(y))
}
export const negate = (a: Exact): Exact => (a === ZERO ? a : ((a.startsWith('-') ? a.slice(1) : `-${a}`) as Exact))
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

/** An exact number as a machine number: for a place in a drawing, never for arithmetic. */
export const asNumber = (a: Exact): number => {
  const { numerator, denominator } = parts(a)
  return Number(numerator) / Number(denominator)
}
