import { add, exact, multiply, negate, sum, ZERO, type Exact } from '../number/exact'
import { placeOfUnit, unitOf, worth, type Counts } from '../number/places'
import type { Operation } from '../problem/problem'

/** So many pieces of one worth: `{ count: 7, unit: '1' }` is seven ones. */
export interface Pieces {
  readonly count: number
  readonly unit: Exact
}

/**
 * What a change means in arithmetic, whoever made it and in whatever material. Plain JSON; amounts are Exact.
 * - `lay`: the number set out first.
 * - `pose`: the next number of a chain is asked or set beside, not yet joined or taken; it changes nothing.
 * - `join`, `take`: an amount comes to, or goes from, what is there.
 * - `count`: one more, or one fewer, with the number said for it.
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
      readonly parts?: readonly Act[]
    }
  | { readonly kind: 'pose'; readonly operation: Operation; readonly amount: Exact }
  | { readonly kind: 'count'; readonly by: Exact; readonly word: Exact }
  | { readonly kind: 'exchange'; readonly from: Pieces; readonly to: Pieces }
  /** `counted`: everything there is counted, from one, before it is read. */
  | { readonly kind: 'read'; readonly value: Exact; readonly counted?: boolean }

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
    case 'pose':
    case 'exchange':
    case 'read':
      return ZERO
  }
}

/** What pieces are worth together. */
export const worthOf = (pieces: readonly Pieces[]): Exact => sum(pieces.map((p) => multiply(exact(p.count), p.unit)))

/** The value after an act. */
export const after = (value: Exact, act: Act): Exact => add(value, change(act))

/** Counts in places as pieces, greatest first; empty places are left out. */
export const piecesOf = (counts: Counts): readonly Pieces[] =>
  counts.flatMap((count, place) => (count ? [{ count, unit: unitOf(place) }] : [])).reverse()

/** Pieces as counts in places. Only for pieces whose units are whole powers of ten. */
export function countsOf(pieces: readonly Pieces[], width: number): Counts {
  const counts = new Array<number>(width).fill(0)
  for (const { count, unit } of pieces) {
    const place = placeOfUnit(unit)
    if (place === undefined || place < 0) throw new Error(`${unit} is no whole place`)
    while (counts.length <= place) counts.push(0)
    counts[place] = (counts[place] ?? 0) + count
  }
  return counts
}

/** An act of laying, joining or taking counts in places. */
export const amountAct = (kind: AmountAct['kind'], counts: Counts): AmountAct => ({
  kind,
  amount: worth(counts),
  pieces: piecesOf(counts),
})

/** One of the higher place for ten of the next lower, or (`making`) ten of the lower for one of the higher. */
export function exchangeAct(higher: number, making: boolean, times = 1): ExchangeAct {
  const one = { count: times, unit: unitOf(higher) }
  const ten = { count: 10 * times, unit: unitOf(higher - 1) }
  return making ? { kind: 'exchange', from: ten, to: one } : { kind: 'exchange', from: one, to: ten }
}
