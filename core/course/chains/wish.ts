import type { Beads } from '../../representation/abacus/frame'
import type { ComplementNames } from '../../choices'
import type { Lesson } from './lessons'

/** What chains are wanted. */
export interface ChainWish {
  /** The lesson of the day, and the rod it is to come at (a power of ten), or any rod. */
  readonly lesson: Lesson
  readonly rod: number | 'any'
  /** Whether it comes just once in a chain, or at least once. */
  readonly times: 'once' | 'some'
  /** How many numbers a chain has, the first included, and how many digits each of them. */
  readonly terms: number
  readonly digits: number
  /** What has been taught, by lesson (`five+2`); the lesson of the day may be among them. */
  readonly taught: readonly string[]
  readonly signs: 'both' | '+' | '-'
  /** Whether a number may only take back the one before it, as 4 + 3 − 3 does. */
  readonly undoing: boolean
  /** Totals stay within these, the first number included. */
  readonly least: number
  readonly greatest: number
  readonly order: 'highest' | 'ones'
  readonly beads: Beads
  /** What the class calls the complements; reasons are given in these words. */
  readonly names: ComplementNames
  readonly count: number
  readonly seed: number
}
