import type { Exact } from '../../number/exact'
import type { Counts, Place } from '../../number/places'

/** How many places are drawn: dots for ones, lines for tens, squares for hundreds, and large squares for thousands. */
export const WIDTH = 4
/** As many as one column has room for. */
export const ROOM = 60
/** As many as the paper has room for, with all that was crossed, ringed or struck. */
export const MOST_THINGS = 1000

/** One drawn thing, and what became of it. Nothing is rubbed out: what no longer counts is crossed, ringed or struck. */
export interface Drawn {
  readonly place: Place
  /** How it came: drawn by hand, as the one made of a ringed ten, or out of one that was broken. */
  readonly from: 'hand' | 'ring' | 'break'
  /** Whether it still counts; else whether it was taken away, ringed with nine others, or broken. */
  readonly fate: 'counts' | 'crossed' | 'ringed' | 'broken'
  /** Things ringed together, or broken and come of each other, share a number; 0 where neither. */
  readonly group: number
}

export interface DrawnState {
  readonly things: readonly Drawn[]
  readonly groups: number
  readonly read: Exact | null
}

export type DrawnMove =
  | { readonly kind: 'draw' | 'cross'; readonly counts: Counts }
  /** Ten of the next lower place are ringed, and one of this place is drawn for them. */
  | { readonly kind: 'ring'; readonly place: Place; readonly times: number }
  /** One of this place is struck, and ten of the next lower are drawn below it. */
  | { readonly kind: 'break'; readonly place: Place; readonly times: number }
  | { readonly kind: 'read'; readonly value: Exact | null }
