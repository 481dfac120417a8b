import type { RepresentationId } from '../../materials'
import type { Exact } from '../../number/exact'
import type { Counts, Place } from '../../number/places'
import { asPieces, pieceName, worthOf, type Units } from '../../number/units'

/**
 * Where a block may lie. The store has no end of them and counts for nothing. What lies beside the mat is the next
 * number set out apart; what has been taken lies in view on its own tray. Only the mat is the quantity shown.
 */
export type Zone = 'store' | 'mat' | 'beside' | 'taken'

/** What one material of pieces in columns is: its kinds, and what it is called. */
export interface PlacedMaterial {
  readonly id: RepresentationId
  readonly title: string
  /** The mat as a reason names it: “the chart”. */
  readonly name: string
  /** The pieces as a sentence begins with them: “Blocks”. */
  readonly pieces: string
  /** Its kinds; each is so many of the next lower. */
  readonly units: Units
  /** How many of its kinds are less than one. */
  readonly decimals: number
  /** The greatest number it can show. */
  readonly greatest: number
  /** Why it stops there, and what goes further. */
  readonly because: string
  readonly instead: readonly RepresentationId[]
  /** Whether a piece is as large as it is worth; else all are alike, and the column says what one is worth. */
  readonly sized: boolean
  readonly along?: readonly RepresentationId[]
}

export const widthOf = (m: PlacedMaterial): number => m.units.worths.length

/** How many kinds there are from the ones up. */
export const aboveOf = (m: PlacedMaterial): number => widthOf(m) - m.decimals

/** What one piece in a column is worth; columns are numbered from the ones, which are 0. */
export const unitAt = (m: PlacedMaterial, place: Place): Exact => m.units.worths[aboveOf(m) - 1 - place]!

/** What the pieces of a column are called. */
export const kindName = (m: PlacedMaterial, place: Place, count = 2): string =>
  pieceName(unitAt(m, place), count, m.units)

/** What pieces in columns are worth together. */
export const countsWorth = (m: PlacedMaterial, counts: Counts): Exact => worthOf(asPieces(counts, m.units))

/** As many as one column has room for. */
export const ROOM = 200

/** Counts stand from the lowest place of the material up: the ones at index `decimals`. */
export interface PlacedState {
  /** How many places below the ones this mat is laid out with: as many as its problem has. */
  readonly decimals: number
  readonly mat: Counts
  readonly beside: Counts
  readonly taken: Counts
  /** What the mat was last read as; null when it has not been read. */
  readonly read: Exact | null
}

export type PlacedMove =
  | { readonly kind: 'carry'; readonly from: Zone; readonly to: Zone; readonly counts: Counts }
  /** `times` of this column (0 is the ones) on the mat become what they are worth in the next lower. */
  | { readonly kind: 'break'; readonly place: Place; readonly times: number }
  /** What `times` of this column are worth in the next lower become `times` of it. */
  | { readonly kind: 'tie'; readonly place: Place; readonly times: number }
  | { readonly kind: 'read'; readonly value: Exact | null }
