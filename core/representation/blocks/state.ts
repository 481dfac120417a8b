import type { Exact } from '../../number/exact'
import type { Counts, Place } from '../../number/places'

/**
 * Where a block may lie. The store has no end of them and counts for nothing. What lies beside the mat is the next
 * number set out apart; what has been taken lies in view on its own tray. Only the mat is the quantity shown.
 */
export type Zone = 'store' | 'mat' | 'beside' | 'taken'

/** How many places the chart has: ones to thousands. */
export const WIDTH = 4
/** As many as one column has room for. */
export const ROOM = 200

export interface BlocksState {
  readonly mat: Counts
  readonly beside: Counts
  readonly taken: Counts
  /** What the mat was last read as; null when it has not been read. */
  readonly read: Exact | null
}

export type BlocksMove =
  | { readonly kind: 'carry'; readonly from: Zone; readonly to: Zone; readonly counts: Counts }
  /** `times` of this place on the mat become ten times as many of the next lower. */
  | { readonly kind: 'break'; readonly place: Place; readonly times: number }
  /** Ten times `times` of the next lower become `times` of this place. */
  | { readonly kind: 'tie'; readonly place: Place; readonly times: number }
  | { readonly kind: 'read'; readonly value: Exact | null }

/** How many pieces lie out in all, the store not counted. */
export const piecesOut = (s: BlocksState): number => [s.mat, s.beside, s.taken].flat().reduce((n, c) => n + c, 0)
