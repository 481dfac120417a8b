import { add, divide, exact, multiply, negate, subtract, ZERO, type Exact } from '../number/exact'
import { placeOfUnit, unitOf, worth, type Counts } from '../number/places'
import type { Sign } from '../problem/problem'
import type { BeadRule } from './beads'

/** So many pieces of one worth: `{ count: 7, unit: '1' }` is seven ones. */
export interface Pieces {
  readonly count: number
  readonly unit: Exact
}

/**
 * What a change means in arithmetic, whoever made it and in whatever material. Plain JSON; amounts are Exact.
 * - `lay`: the number set out first.
 * - `pose`: the next number of a chain is asked or set beside, not yet joined or taken; it changes nothing.
 * - `join`, `take`: an amount comes to, or goes from, what is there. With `pieces` it is just these pieces; without, the number
 *   whole, and a material with places makes the exchanges that it needs.
 * - `begin`: a count is begun `from` a number in equal steps; it changes nothing. With `to`, what is wanted is how many steps
 *   lead there (14 − 8 counted up from 8; 12 ÷ 4 in fours), and every step counts one. With `times`, what is wanted is where
 *   so many steps lead (3 × 4 in fours), and every step counts its size.
 * - `count`: one step more, or one fewer, with the number said for it.
 * - `group`: so many groups of a size come (or go, where the count is negative) at once.
 * - `split`: a number is parted (46 = 1 + 45), and `gather`: parts are put together again; both change nothing.
 * - `exchange`: pieces for others of the same worth.
 * - `read`: what is there is read as a number (which may be misread).
 *
 * `parts` are smaller acts that together are this one; their changes add up to its change.
 */
export type Act =
  | {
      readonly kind: 'lay' | 'join' | 'take'
      readonly amount: Exact
      /** The number is only held in the head, to be counted on or back from. */
      readonly inHead?: boolean
      readonly pieces?: readonly Pieces[]
      /** The numbers said while it was counted out, one touch each, where it was. */
      readonly said?: readonly Exact[]
      /** Of one digit on beads: by which rule they allow it. */
      readonly rule?: BeadRule
      readonly parts?: readonly Act[]
    }
  | {
      readonly kind: 'pose'
      readonly operation: Sign
      readonly amount: Exact
      /** What is still owed of the number before is left as it is. */
      readonly leaves?: boolean
    }
  | BeginAct
  | { readonly kind: 'count'; readonly by: Exact; readonly word: Exact }
  | { readonly kind: 'group'; readonly count: Exact; readonly size: Exact }
  | { readonly kind: 'split' | 'gather'; readonly whole: Exact; readonly parts: readonly Exact[] }
  | { readonly kind: 'exchange'; readonly from: Pieces; readonly to: Pieces }
  /** `counted`: everything there is counted, from one, before it is read. */
  | { readonly kind: 'read'; readonly value: Exact; readonly counted?: boolean }

/** A count begun in equal steps; just one of `to` and `times` is not null. */
export interface BeginAct {
  readonly kind: 'begin'
  readonly from: Exact
  readonly step: Exact
  readonly to: Exact | null
  readonly times: Exact | null
}

export type ExchangeAct = Extract<Act, { kind: 'exchange' }>
export type AmountAct = Extract<Act, { kind: 'lay' | 'join' | 'take' }>

/** How much an act changes the quantity shown. */
export function change(act: Act): Exact {
  switch (act.kind) {
    case 'lay':
    case 'join':
      return act.amount
    case 'take':
      return negate(act.amount)
    case 'count':
      return act.by
    case 'group':
      return multiply(act.count, act.size)
    case 'begin':
    case 'pose':
    case 'split':
    case 'gather':
    case 'exchange':
    case 'read':
      return ZERO
  }
}

/** The value after an act. */
export const after = (value: Exact, act: Act): Exact => add(value, change(act))

/** Counts in places as pieces, greatest first; empty places are left out. */
export const piecesOf = (counts: Counts, decimals = 0): readonly Pieces[] =>
  counts.flatMap((count, i) => (count ? [{ count, unit: unitOf(i - decimals) }] : [])).reverse()

/** Pieces as counts in places. Only for pieces whose units are powers of ten, none below the lowest place. */
export function countsOf(pieces: readonly Pieces[], width: number, decimals = 0): Counts {
  const counts = new Array<number>(width).fill(0)
  for (const { count, unit } of pieces) {
    const power = placeOfUnit(unit)
    const place = power === undefined ? -1 : power + decimals
    if (place < 0) throw new Error(`${unit} is no place here`)
    while (counts.length <= place) counts.push(0)
    counts[place] = (counts[place] ?? 0) + count
  }
  return counts
}

/** An act of laying, joining or taking counts in places. */
export const amountAct = (kind: AmountAct['kind'], counts: Counts, decimals = 0): AmountAct => ({
  kind,
  amount: worth(counts, decimals),
  pieces: piecesOf(counts, decimals),
})

/** One of the higher place for ten of the next lower, or (`making`) ten of the lower for one of the higher. */
export function exchangeAct(higher: number, making: boolean, times = 1): ExchangeAct {
  const one = { count: times, unit: unitOf(higher) }
  const ten = { count: 10 * times, unit: unitOf(higher - 1) }
  return making ? { kind: 'exchange', from: ten, to: one } : { kind: 'exchange', from: one, to: ten }
}

/** What all the steps of a begun count come to: where they lead, or how many they are. @throws Refusal where it comes out uneven. */
export function goalOf(begun: BeginAct): Exact {
  if (begun.times !== null) return add(begun.from, multiply(begun.times, begun.step))
  return divide(subtract(begun.to ?? begun.from, begun.from), begun.step)
}

/** What one step of a begun count is worth. */
export const stepWorth = (begun: BeginAct): Exact => (begun.to === null ? begun.step : exact(1))

/** The next number said, when so much has been counted. */
export const wordAt = (begun: BeginAct, counted: Exact): Exact =>
  add(begun.from, multiply(begun.step, add(divide(counted, stepWorth(begun)), exact(1))))

/** The pieces an act names, where all of them came or all went; undefined where it names none, or some came as others went. */
export const plainPieces = (act: AmountAct): readonly Pieces[] | undefined =>
  act.pieces?.every((p) => p.count > 0) ? act.pieces : undefined
