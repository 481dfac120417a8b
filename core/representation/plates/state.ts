import { asPieces, decimal, worthOf } from '../../number/units'
import { isEmpty, noCounts, type Counts, type Place } from '../../number/places'
import type { Exact } from '../../number/exact'

/** Hundreds, tens and ones. */
export const UNITS = decimal(3)
export const WIDTH = UNITS.worths.length
/** The greatest number that is shared out, and the most plates that are seen at once. */
export const GREATEST = 999
export const MOST_PLATES = 12
/** As many pieces of a kind as lie in a hand, or on a plate. */
export const ROOM = 200

export interface PlatesState {
  /** What is in hand, not dealt yet: counts of each kind, the ones first. */
  readonly hand: Counts
  readonly plates: readonly Counts[]
  /** Where groups of a size are made, and plates come one by one: how many ones fill one plate; null where it is dealt among all. */
  readonly fill: number | null
  /** What was read: how many on each plate, and how many are left over where that was said. */
  readonly read: { readonly value: Exact; readonly remainder: Exact | null } | null
}

export type PlatesMove =
  /** Between the store and the hand. */
  | { readonly kind: 'lay' | 'return'; readonly counts: Counts }
  /** `times` of this place in hand become ten times as many of the next lower, or the other way round. */
  | { readonly kind: 'break' | 'tie'; readonly place: Place; readonly times: number }
  /** The same to every plate at once, or back from every plate. */
  | { readonly kind: 'deal' | 'collect'; readonly counts: Counts }
  /** On one plate, numbered from 1, or from it back into the hand. */
  | { readonly kind: 'put' | 'pick'; readonly counts: Counts; readonly plate: number }
  /** One more plate is filled from the hand, or the last one emptied into it. */
  | { readonly kind: 'fill' | 'empty' }
  | { readonly kind: 'read'; readonly value: Exact | null; readonly remainder: Exact | null }

/** The most plates that are filled one after another. */
export const MOST_FILLED = 24

/** `among` plates to deal to; or none yet, where plates are filled with so many each. */
export const emptyPlates = (among: number, fills = false): PlatesState => ({
  hand: noCounts(WIDTH),
  plates: fills ? [] : Array.from({ length: among }, () => noCounts(WIDTH)),
  fill: fills ? among : null,
  read: null,
})

/** What is in hand is what is still to be shared; what lies on the plates is given away. */
export const shows = ({ hand }: PlatesState): Exact => worthOf(asPieces(hand, UNITS))

/** What one plate holds. */
export const onPlate = (plate: Counts): Exact => worthOf(asPieces(plate, UNITS))

/** The plates that have less of some kind than another has, numbered from 1. */
export function waiting({ plates, fill }: PlatesState): readonly number[] {
  if (fill !== null) return plates.flatMap((p, i) => (Number(onPlate(p)) === fill || isEmpty(p) ? [] : [i + 1]))
  const most = noCounts(WIDTH).map((_, place) => Math.max(...plates.map((p) => p[place]!)))
  return plates.flatMap((p, i) => (p.some((n, place) => n < most[place]!) ? [i + 1] : []))
}
