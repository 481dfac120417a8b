import { add, compare, divide, exact, multiply, parts, sign, subtract, ZERO, type Exact } from '../number/exact'
import { printExact, valueOf } from '../number/numeral'
import { unitOf } from '../number/places'
import { totals, type Problem } from './problem'

/** The lowest place that is not nought, as a power of ten; undefined for nought and for what no decimal writes. */
export function lowestPlace(value: Exact): number | undefined {
  if (sign(value) === 0) return undefined
  const [, whole = '', point = ''] = /^-?(\d+)(?:\.(\d+))?$/.exec(printExact(value)) ?? []
  if (whole === '') return undefined
  return point === '' ? whole.length - whole.replace(/0+$/, '').length : -point.length
}

/**
 * The friendly number nearest to a number (or the next one up): a whole number of the place above its lowest digit.
 * 29 → 30, 52 → 50, 190 → 200, 2.9 → 3; halfway goes up. Undefined for nought (practice, section 8; common practice, no source).
 */
export function friendlyNear(value: Exact, way: 'nearest' | 'up' = 'nearest'): Exact | undefined {
  const place = lowestPlace(value)
  if (place === undefined) return undefined
  const unit = unitOf(place + 1)
  const { numerator, denominator } = parts(divide(value, unit))
  const below = multiply(exact(numerator / denominator), unit)
  const over = subtract(value, below)
  const up = way === 'up' || sign(subtract(add(over, over), unit)) >= 0
  return up ? add(below, unit) : below
}

/** How far a number is from its friendly neighbour, counted in its own lowest place: 29 is 1 away, 310 is 1 (ten) away. */
export function awayFromFriendly(value: Exact): number | undefined {
  const near = friendlyNear(value)
  if (near === undefined) return undefined
  const off = divide(subtract(near, value), unitOf(lowestPlace(value)!))
  return Math.abs(Number(off === ZERO ? 0 : off))
}

/** How far up a problem of one operation goes on the way, when it is worked over friendly numbers. */
export function reach(way: string, problem: Problem): Exact {
  const reached = totals(problem)
  const first = reached[0]!
  const plain = reached.reduce(greater)
  const [term] = problem.terms
  if (!term || problem.terms.length > 1) return plain
  const second = valueOf(term.number)
  if (way === 'over-and-back' && term.operation === '+')
    return greater(plain, add(first, friendlyNear(second) ?? second))
  if (way === 'make-friendly') return greater(plain, friendlyNear(first) ?? first)
  return plain
}

const greater = (a: Exact, b: Exact): Exact => (compare(a, b) < 0 ? b : a)
