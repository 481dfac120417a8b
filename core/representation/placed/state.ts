import type { RepresentationId } from '../representation'
import type { Exact } from '../../number/exact'
import type { Counts, Place } from '../../number/places'

/**
 * Where a block may lie. The store has no end of them and counts for nothing. What lies beside the mat is the next
 * number set out apart; what has been taken lies in view on its own tray. Only the mat is the quantity shown.
 */
export type Zone = 'store' | 'mat' | 'beside' | 'taken'

/** What one material of pieces in columns is: its places, and what it is called. */
export interface PlacedMaterial {
  readonly id: RepresentationId
  readonly title: string
  /** The mat as a reason names it: “the chart”. */
  readonly name: string
  /** The pieces as a sentence begins with them: “Blocks”. */
  readonly pieces: string
  /** How many places it has from the ones up, and below the ones. */
  readonly above: number
  readonly decimals: number
  /** Why it stops there, and what goes further. */
  readonly because: string
  readonly instead: readonly string[]
}

export const widthOf = (m: PlacedMaterial): number => m.above + m.decimals

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
  /** `times` of this place (a power of ten) on the mat become ten times as many of the next lower. */
  | { readonly kind: 'break'; readonly place: Place; readonly times: number }
  /** Ten times `times` of the next lower become `times` of this place. */
  | { readonly kind: 'tie'; readonly place: Place; readonly times: number }
  | { readonly kind: 'read'; readonly value: Exact | null }
