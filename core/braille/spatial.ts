import { Refusal } from '../refusal'
import { digitCell } from './nemeth'

/**
 * A sum or a difference of whole numbers in columns, as the Nemeth code arranges it in space (Nemeth code 1972, rule XXIV; from memory): no
 * numeric indicators, the sign before the last number in the column left of the widest, a line of dots 2-5 one cell wider than the work on
 * both sides; numbers that are carried above a line of dots 2-3-5-6; digits that are cancelled between two indicators.
 */

const SIGN: Readonly<Record<'+' | '-', string>> = { '+': '346', '-': '36' }
const [RULE, CARRIED, CANCEL, CANCELLED] = ['25', '2356', '246', '12456']
export const MOST_SPATIAL_DIGITS = 12

const digits = (n: string): readonly number[] => [...n].map(Number)
/** The digit of a place, counted from the ones; undefined above the highest. */
const at = (n: readonly number[], place: number): number | undefined => n[n.length - 1 - place]

function checked(numbers: readonly string[]): readonly (readonly number[])[] {
  for (const n of numbers)
    if (!/^\d+$/.test(n) || n.length > MOST_SPATIAL_DIGITS)
      throw new Refusal('Columns in space are of whole numbers here.', 'For example: 52 - 37')
  return numbers.map(digits)
}

/** The rows of the work, the highest line first, each as cells; all lines are equally long. */
export function spatialAddition(numbers: readonly string[]): readonly (readonly string[])[] {
  const rows = checked(numbers)
  const total = String(rows.reduce((sum, r) => sum + BigInt(r.join('')), 0n))
  const width = Math.max(total.length, ...rows.map((r) => r.length))
  const carried: number[] = Array(width + 1).fill(0)
  for (let place = 0; place < width; place++) {
    const sum = rows.reduce((s, r) => s + (at(r, place) ?? 0), carried[place]!)
    carried[place + 1] = Math.floor(sum / 10)
  }
  // A column is as wide as what is carried to it: ten numbers and more may carry two digits.
  const widthOf = (place: number): number => String(carried[place]).length
  const places = Array.from({ length: width }, (_, i) => width - 1 - i)
  const cells = (value: number | undefined, place: number): readonly string[] => {
    const written = value === undefined ? [] : Array.from(String(value), (d) => digitCell(Number(d)))
    return [...Array<string>(widthOf(place) - written.length).fill(''), ...written]
  }
  const row = (of: (place: number) => number | undefined, sign = ''): readonly string[] => [
    '',
    sign,
    ...places.flatMap((p) => cells(of(p), p)),
    '',
  ]
  const wide = places.reduce((sum, p) => sum + widthOf(p), 3)
  const marks = carried.slice(1, width).some((c) => c > 0)
  return [
    ...(marks
      ? [row((p) => (p > 0 && carried[p]! > 0 ? carried[p] : undefined)), Array<string>(wide).fill(CARRIED)]
      : []),
    ...rows.map((r, i) => row((p) => at(r, p), i === rows.length - 1 ? SIGN['+'] : '')),
    Array<string>(wide).fill(RULE),
    row((p) => at(digits(total), p)),
  ]
}

/** @throws Refusal where the difference would be below nought. */
export function spatialSubtraction(from: string, take: string): readonly (readonly string[])[] {
  const [top, low] = checked([from, take]) as [readonly number[], readonly number[]]
  if (BigInt(from) < BigInt(take))
    throw new Refusal('In columns the greater number stands above.', `For example: ${take} - ${from}`)
  const width = top.length
  // What each place holds after exchanging; a place that changed is cancelled, with the new number above it.
  const now = top.map((_, i) => top[width - 1 - i]!)
  for (let place = 0; place < width; place++)
    if (now[place]! < (at(low, place) ?? 0)) {
      now[place]! += 10
      now[place + 1]! -= 1
    } else if (now[place]! < 0) {
      now[place]! += 10
      now[place + 1]! -= 1
    }
  const changed = (place: number): boolean => now[place] !== at(top, place)
  const answer = String(BigInt(from) - BigInt(take))
  /** Cells of a column: as many as its widest entry needs. */
  const wide = (place: number): number => (changed(place) ? Math.max(3, String(now[place]).length) : 1)
  const padded = (cells: readonly string[], place: number): readonly string[] => [
    ...Array<string>(wide(place) - cells.length).fill(''),
    ...cells,
  ]
  const places = Array.from({ length: width }, (_, i) => width - 1 - i)
  const row = (of: (place: number) => readonly string[], sign = ''): readonly string[] => [
    '',
    sign,
    ...places.flatMap((p) => padded(of(p), p)),
    '',
  ]
  const one = (value: number | undefined): readonly string[] => (value === undefined ? [] : [digitCell(value)])
  const all = places.reduce((sum, p) => sum + wide(p), 3)
  return [
    ...(places.some(changed)
      ? [row((p) => (changed(p) ? Array.from(String(now[p]), (c) => digitCell(Number(c))) : []))]
      : []),
    row((p) => (changed(p) ? [CANCEL, digitCell(at(top, p)!), CANCELLED] : one(at(top, p)))),
    row((p) => one(at(low, p)), SIGN['-']),
    Array<string>(all).fill(RULE),
    row((p) => one(at(digits(answer), p))),
  ]
}
