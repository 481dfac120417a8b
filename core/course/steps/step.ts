import type { RepresentationId } from '../../materials'
import type { WayId } from '../../way/way'
import type { Limits } from '../setter/limits'

/** What steps are grouped by on the map. */
export const STRANDS = [
  'counting',
  'adding',
  'taking away',
  'multiplying',
  'dividing',
  'plus and minus',
  'fractions',
  'decimals',
  'money',
  'beads',
] as const
export type Strand = (typeof STRANDS)[number]

/** One step of a course: what its problems must and must not have, what it rests on, with what it is shown. */
export interface Step {
  readonly id: string
  /** What a teacher calls it, told apart from every other step by itself. */
  readonly title: string
  /** What it is called among the steps of its strand; its title where nothing else is given. */
  readonly short?: string
  /** One of its problems, by which it is known at a glance; any of them where none is given. */
  readonly sample?: string
  readonly strand: Strand
  readonly limits: Limits
  /** Steps that have to stand before this one, by id. */
  readonly restsOn: readonly string[]
  /** Something to hold, something drawn, something written, in this order. */
  readonly materials: readonly RepresentationId[]
  /** Whether only work with these materials counts for it, since it is about them: coins, beads. */
  readonly onlyWith?: true
  /** Ways of working that suit it, the usual one first. */
  readonly ways: readonly WayId[]
  /** What is said, and what is asked before a move: phrases by their ids (phrases.ts), or a school's own words. */
  readonly say: readonly string[]
  readonly ask: readonly string[]
  /** Kinds of story in which its problems are told, by their ids (core/story); all that fit where none is given. */
  readonly stories?: readonly string[]
  /** Mistakes that are usual here, by the ids of their procedures (core/mistakes/catalogue.ts). */
  readonly usual: readonly string[]
  /** Statements of published curricula that it serves, from memory (docs/coverage.md). */
  readonly serves: readonly string[]
  /** When to move on, where a school has it otherwise than MOVING_ON. */
  readonly moveOn?: { readonly share: number; readonly sessions: number }
}

/** When to move on, change, and check again (practice, section 15; common practice, no source; a school may set its own). */
export const MOVING_ON = { share: 0.8, sessions: 3, concreteBelow: 0.5, checkAfterWeeks: [1, 4] } as const
