import type { Act } from '../act/act'
import type { Choices } from '../choices'
import type { Aim, Standing } from '../act/standing'
import type { Sort } from '../problem/fit'
import type { Problem } from '../problem/problem'

export const WAY_IDS = [
  'ones-first',
  'exchanges-first',
  'by-column',
  'apart',
  'hops',
  'make-friendly',
  'over-and-back',
  'hop-up',
  'count-all',
  'count-on',
  'count-on-from-greater',
  'take-away',
  'count-back',
  'count-up',
  'skip-count',
  'share-out',
  'deal-rounds',
  'fill-plates',
  'long-division',
  'equal-groups',
  'split-groups',
  'by-digit',
  'by-parts',
  'sort-and-count',
  'pairs-first',
  'stack-and-add',
  'pay-fewest',
  'change-up',
  'wholes-apart',
  'same-parts',
  'common-parts',
  'edge-to-edge',
  'other-names',
  'repeated-parts',
  'by-places',
  'number-rule',
  'pairs',
  'arrows',
  'combine-opposites',
  'decompose',
  'sign-rule',
  'nines',
  'one-less',
  'ten-less',
  'compensate',
  'count-beads',
] as const
export type WayId = (typeof WAY_IDS)[number]

/**
 * A method of working. It answers one question: from where the problem stands, whoever brought it there, what is the
 * next act? So the same way plans a whole lesson, offers a hint in the middle, and finds back from a detour.
 */
export interface Way {
  readonly id: WayId
  readonly title: string
  /** In which classrooms it is at home, in a few words. */
  readonly school: string
  /** Which materials it suits, and why. */
  readonly at: string
  /** What it needs of a material: of its pieces, and of how they are worked. */
  readonly sort: Sort
  /** Whether empty places after the point are filled with noughts: 8.4 is worked as 8.40. */
  readonly fillsPlaces?: boolean
  /** What the work is after once it is begun, where that is not the total of a chain. */
  readonly aim?: Aim['kind']
  /** Whether the way is one for this problem. */
  suits(problem: Problem): boolean
  /** The problem as this way works it; the question asked stays as it is. */
  arrange?(problem: Problem, choices: Choices): Problem
  /** The next act, or null when the problem is worked and read. */
  next(problem: Problem, standing: Standing, choices: Choices): Act | null
}
