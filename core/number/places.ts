import { Refusal } from '../refusal'
import { exact, isWhole, multiply, sizeOf, type Exact } from './exact'
import { isDecimal } from './fractions'

/** A decimal place as its power of ten: 0 is ones, 1 tens, −1 tenths. */
export type Place = number

const NAMES = new Map<Place, readonly [string, string]>([
  [-3, ['thousandth', 'thousandths']],
  [-2, ['hundredth', 'hundredths']],
  [-1, ['tenth', 'tenths']],
  [0, ['one', 'ones']],
  [1, ['ten', 'tens']],
  [2, ['hundred', 'hundreds']],
  [3, ['thousand', 'thousands']],
  [4, ['ten-thousand', 'ten-thousands']],
  [5, ['hundred-thousand', 'hundred-thousands']],
  [6, ['million', 'millions']],
  [7, ['ten-million', 'ten-millions']],
  [8, ['hundred-million', 'hundred-millions']],
  [9, ['billion', 'billions']],
  [10, ['ten-billion', 'ten-billions']],
  [11, ['hundred-billion', 'hundred-billions']],
  [12, ['trillion', 'trillions']],
])

/** Whether a place has a name, and so is one that numbers here have. */
export const isPlace = (place: number): boolean => NAMES.has(place)

/** What one of this place is called (`ten`), or several (`tens`). */
export function placeName(place: Place, count = 2): string {
  const names = NAMES.get(place)
  if (!names) throw new Error(`no name for the place 10^${place}`)
  return names[Math.abs(count) === 1 ? 0 : 1]
}

/** The place that a name (`ten`, `tens`, `unit`, `units`) stands for, or undefined. */
export function placeNamed(name: string): Place | undefined {
  if (name === 'unit' || name === 'units') return 0
  for (const [place, names] of NAMES) if (names.includes(name)) return place
  return undefined
}

/** What one of this place is worth: 1, 10, 100 …, 1/10. */
export function unitOf(place: Place): Exact {
  const known = units.get(place)
  if (known) return known
  const unit = place < 0 ? exact(`1/1${'0'.repeat(-place)}`) : exact(`1${'0'.repeat(place)}`)
  units.set(place, unit)
  return unit
}
const units = new Map<Place, Exact>()

/** The place whose unit this is, or undefined where it is no power of ten. */
export function placeOfUnit(unit: Exact): Place | undefined {
  if (/^10*$/.test(unit)) return unit.length - 1
  return /^1\/10+$/.test(unit) ? -(unit.length - 3) : undefined
}

/**
 * How many stand in each place, from the lowest place up: 253 is [3, 5, 2]. Counts may be above nine. The lowest place is the
 * ones, or with `decimals` so many places below them: 7.45 with two decimals is [5, 4, 7].
 */
export type Counts = readonly number[]

/**
 * The digits of a number that is not negative, lowest place first, filled up with noughts to `width` places.
 * @throws Refusal for a number below nought, and one that goes further after the point.
 */
export function digitsOf(value: Exact, width = 1, decimals = 0): Counts {
  const scaled = decimals === 0 ? value : multiply(value, unitOf(decimals))
  if (!isWhole(scaled) || scaled.startsWith('-'))
    throw new Refusal(`${value} has no digits in these places.`, 'They hold numbers from nought up.')
  const digits = [...scaled].reverse().map(Number)
  while (digits.length < width) digits.push(0)
  return digits
}

/** What counts in places are worth together. */
export function worth(counts: Counts, decimals = 0): Exact {
  let total = 0n
  let unit = 1n
  for (const count of counts) {
    total += BigInt(count) * unit
    unit *= 10n
  }
  return decimals === 0 ? exact(total) : multiply(exact(total), unitOf(-decimals))
}

/** a + factor × b, place by place, as long as the longer. */
export function addCounts(a: Counts, b: Counts, factor = 1): Counts {
  return Array.from({ length: Math.max(a.length, b.length) }, (_, p) => (a[p] ?? 0) + factor * (b[p] ?? 0))
}

export const noCounts = (width: number): Counts => new Array<number>(width).fill(0)
export const isEmpty = (counts: Counts): boolean => counts.every((c) => c === 0)
/** `count` in one place, nought in the others. */
export const countsAt = (place: Place, count: number, width = place + 1): Counts =>
  Array.from({ length: Math.max(width, place + 1) }, (_, p) => (p === place ? count : 0))

/** The only place that holds anything, or undefined where several or none do. */
export function onlyPlace(counts: Counts): Place | undefined {
  const held = counts.flatMap((c, p) => (c === 0 ? [] : [p]))
  return held.length === 1 ? held[0] : undefined
}

/** What stands in each place as a number, the greatest place first, empty places left out: [12, 7] is 70 and 12. */
export const placeParts = (counts: Counts, decimals = 0): readonly Exact[] =>
  counts.flatMap((n, p) => (n ? [worth(countsAt(p, n), decimals)] : [])).reverse()

/** The places whose digit is another in one number than in the other, the greatest first; signs are left aside. */
export function changedPlaces(a: Exact, b: Exact): readonly Place[] {
  // A third has no digits.
  if (![a, b].every(isDecimal)) return []
  const decimals = [a, b].some((n) => !isWhole(n)) ? MOST_DECIMALS : 0
  const [x, y] = [a, b].map((n) => digitsOf(sizeOf(n), 1, decimals)) as [Counts, Counts]
  return Array.from({ length: Math.max(x.length, y.length) }, (_, i) => i)
    .filter((i) => (x[i] ?? 0) !== (y[i] ?? 0))
    .map((i) => i - decimals)
    .reverse()
}

/** How far after the point numbers go here. */
const MOST_DECIMALS = 3
