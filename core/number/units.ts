import { compare, divide, exact, isWhole, sign, sumOf, timesIn, toCount, ZERO, type Exact } from './exact'
import { denominatorOf, partUnit, wholeAndRest } from './fractions'
import type { Numeral } from './numeral'
import { Refusal } from '../refusal'
import { BRITISH, formOf, partsName } from './words'
import { placeName, placeOfUnit, unitOf, type Counts, type Place } from './places'

/** So many pieces of one worth: `{ count: 7, unit: '1' }` is seven ones. */
export interface Pieces {
  readonly count: number
  readonly unit: Exact
}

/** One of a kind, and several: `['sheaf', 'sheaves']`. */
export type Name = readonly [string, string]

/** What the pieces of one material are worth, and what they are called there. Plain data, owned by its material. */
export interface Units {
  /** What one piece of each kind is worth, the greatest first; no two alike. */
  readonly worths: readonly Exact[]
  /** The material's own names, by worth; what has none is called by its place (`tens`) or its part (`eighths`). */
  readonly names?: Readonly<Record<string, Name>>
  /** How many places after the point its numbers are always written with: two of money. */
  readonly decimals?: number
  /** Whether its numbers are written as fractions: 4/8, and no half. */
  readonly fractions?: boolean
}

const decimals = new Map<string, Units>()

/** Places of tens: `above` of them from the ones up, `below` after the point. The same places are always the same object. */
export function decimal(above: number, below = 0): Units {
  const key = `${above}.${below}`
  const known = decimals.get(key)
  if (known) return known
  const made: Units = { worths: Array.from({ length: above + below }, (_, i) => unitOf(above - 1 - i)) }
  decimals.set(key, made)
  return made
}

/** Things that count one each. */
export const ones = (name: Name): Units => ({ worths: [exact(1)], names: { '1': name } })

/** Plus ones and minus ones. */
export const SIGNED: Units = {
  worths: [exact(1), exact(-1)],
  names: { '1': ['plus', 'pluses'], '-1': ['minus', 'minuses'] },
}

/** So many zero pairs: a plus and a minus each; none in a material that has not both. */
export const pairPieces = (count: number, { worths }: Units): readonly Pieces[] =>
  worths.includes(exact(1)) && worths.includes(exact(-1))
    ? [
        { count, unit: exact(1) },
        { count, unit: exact(-1) },
      ]
    : []

const WHOLE: Name = ['whole', 'wholes']

/** A whole and equal parts of it: `parts(2, 4, 8)` is wholes, halves, quarters and eighths. */
export const parts = (...denominators: readonly number[]): Units => ({
  worths: [exact(1), ...[...denominators].sort((a, b) => a - b).map((n) => exact(`1/${n}`))],
  names: { '1': WHOLE },
  fractions: true,
})

/** Into how many parts one whole can be cut so that they can still be told apart. */
export const MOST_PARTS = 100

/** Wholes, and every equal part of them down to hundredths. */
export const PARTS: Units = parts(...Array.from({ length: MOST_PARTS - 1 }, (_, i) => i + 2))

/** The parts that a whole is usually cut into, and that lie in a store. */
export const USUAL_PARTS: readonly number[] = [2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 16, 20, 100]

/** Wholes, tenths and hundredths, as decimals are cut from a strip. */
export const HUNDREDTHS: Units = { worths: decimal(1, 2).worths, names: { '1': WHOLE } }

/** Coins by their face value, in the smaller unit of the currency. */
export const coins = (values: readonly number[], names: Readonly<Record<string, Name>>): Units => ({
  worths: [...values].sort((a, b) => b - a).map((n) => exact(n)),
  names,
})

/** What pieces are worth together. */
export const worthOf: (pieces: readonly Pieces[]) => Exact = sumOf

/** How many of one kind there are. */
export const countOf = (pieces: readonly Pieces[], unit: Exact): number =>
  pieces.find((p) => p.unit === unit)?.count ?? 0

/** a + times × b, kind by kind, the greatest first; kinds of which there are none are left out. */
export function addPieces(a: readonly Pieces[], b: readonly Pieces[], times = 1): readonly Pieces[] {
  const sum: Pieces[] = []
  const put = (count: number, unit: Exact): void => {
    if (count !== 0) sum.push({ count, unit })
  }
  let [i, j] = [0, 0]
  while (i < a.length || j < b.length) {
    const [x, y] = [a[i], b[j]]
    const order = !x ? 1 : !y ? -1 : compare(y.unit, x.unit)
    if (order < 0) put(x!.count, x!.unit)
    else if (order > 0) put(times * y!.count, y!.unit)
    else put(x!.count + times * y!.count, x!.unit)
    if (order <= 0) i += 1
    if (order >= 0) j += 1
  }
  return sum
}

/** As many of each the other way round. */
export const opposite = (pieces: readonly Pieces[]): readonly Pieces[] => addPieces([], pieces, -1)

/** Whether pieces are the same, kind by kind. */
export const samePieces = (a: readonly Pieces[], b: readonly Pieces[]): boolean =>
  a.length === b.length && a.every((p, i) => p.unit === b[i]!.unit && p.count === b[i]!.count)

/** Counts of each kind of a material, the lowest first, as pieces. */
export const asPieces = (counts: Counts, { worths }: Units): readonly Pieces[] =>
  counts.flatMap((count, i) => (count ? [{ count, unit: worths[worths.length - 1 - i]! }] : [])).reverse()

/** Pieces as counts of each kind of a material, the lowest first. @throws Refusal for pieces that it has not: part of them is not all. */
export function asCounts(pieces: readonly Pieces[], units: Units): Counts {
  if (!has(units, pieces)) throw new Refusal('There are no such pieces here.')
  return units.worths.map((unit) => countOf(pieces, unit)).reverse()
}

/** Whether a material has pieces of every one of these kinds. */
export const has = (units: Units, pieces: readonly Pieces[]): boolean =>
  pieces.every((p) => units.worths.includes(p.unit))

/** A number as pieces of a material, taken from the greatest kind down; undefined where that leaves a rest. */
export function piecesFor(value: Exact, units: Units): readonly Pieces[] | undefined {
  const { worths } = units
  if (units.fractions) return partsFor(value, worths)
  const found: Pieces[] = []
  let left = value
  for (const unit of worths) {
    if (left === ZERO) break
    if (sign(unit) !== sign(left)) continue
    const { times: count, rest } = timesIn(left, unit)
    if (count > 0) found.push({ count, unit })
    left = rest
  }
  return left === ZERO ? found : undefined
}

/** A number from nought up as wholes and parts of one kind: its own, or else the largest of which it is made. */
function partsFor(value: Exact, worths: readonly Exact[]): readonly Pieces[] | undefined {
  if (sign(value) < 0) return undefined
  const { whole, rest } = wholeAndRest(value)
  const wholes = whole === ZERO ? [] : [{ count: toCount(whole), unit: exact(1) }]
  if (rest === ZERO) return wholes
  const own = partUnit(denominatorOf(rest))
  const unit = worths.includes(own) ? own : worths.find((u) => u !== '1' && isWhole(divide(rest, u)))
  return unit && [...wholes, { count: toCount(divide(rest, unit)), unit }]
}

/**
 * A written number as pieces: 4/8 is four eighths, not a half, where the material has eighths; everything else as few pieces as can
 * be. Undefined where the pieces do not make it.
 */
export function piecesOfNumeral(numeral: Numeral, value: Exact, units: Units): readonly Pieces[] | undefined {
  // A decimal is made of tenths and hundredths wherever there are any.
  if (numeral.form !== 'fraction')
    return piecesFor(value, units.fractions && numeral.decimals > 0 ? tensIn(units) : units)
  const one = exact(`1/${numeral.denominator}`)
  const whole = exact(numeral.whole || '0')
  if (!units.worths.includes(one)) return piecesFor(value, units)
  const way = numeral.negative ? -1 : 1
  const pieces = addPieces(
    [{ count: way * Number(whole), unit: exact(1) }],
    [{ count: way * Number(numeral.numerator), unit: one }],
  )
  return has(units, pieces) ? pieces : piecesFor(value, units)
}

const tensOf = new WeakMap<Units, Units>()

/** Of a material's kinds those that are places of tens: what decimals are made of. */
export function tensIn(units: Units): Units {
  const known = tensOf.get(units)
  if (known) return known
  const { fractions: _, ...rest } = units
  const tens: Units = { ...rest, worths: units.worths.filter((unit) => placeOfUnit(unit) !== undefined) }
  tensOf.set(units, tens)
  return tens
}

/** A step of a ladder: one of a kind is as much as `times` of the next lower kind. */
export interface Rung {
  readonly unit: Exact
  readonly lower: Exact
  readonly times: number
}

const ladders = new WeakMap<Units, readonly Rung[] | null>()

/** The kinds of a material as a ladder, where each is so many whole ones of the next lower, from the lowest up; undefined where not. */
export function ladderOf(units: Units): readonly Rung[] | undefined {
  const known = ladders.get(units)
  if (known !== undefined) return known ?? undefined
  const { worths } = units
  const rungs = worths.slice(0, -1).map((unit, i): Rung | null => {
    const lower = worths[i + 1]!
    const times = divide(unit, lower)
    return isWhole(times) && sign(times) > 0 && times !== '1' ? { unit, lower, times: toCount(times) } : null
  })
  const ladder = rungs.every((r): r is Rung => r !== null) ? rungs.reverse() : null
  ladders.set(units, ladder)
  return ladder ?? undefined
}

/** The rung on which a kind stands above another; undefined for the lowest kind, and where there is no ladder. */
export const rungOf = (units: Units, unit: Exact): Rung | undefined => ladderOf(units)?.find((r) => r.unit === unit)

/** What one piece of a kind is called in a material, or several. `ones` is the class's word for ones. */
export function pieceName(unit: Exact, count: number, units: Units | undefined, ones: Name = ['one', 'ones']): string {
  const own = units?.names?.[unit]
  if (own) return formOf(count, own)
  if (unit === '1') return formOf(count, ones)
  const place: Place | undefined = placeOfUnit(unit)
  if (place !== undefined) return placeName(place, count)
  const part = /^(-?)1\/(\d+)$/.exec(unit)
  return part
    ? `${part[1] ? 'minus ' : ''}${formOf(count, [partsName(BigInt(part[2]!), BRITISH, false), partsName(BigInt(part[2]!), BRITISH, true)])}`
    : unit
}
