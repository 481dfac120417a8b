import type { Problem } from '../problem/problem'
import { countAll, countBack, countOn, countOnFromGreater, countUp, skipCount, takeAway } from './counting'
import { compensate, countBeads } from './beads'
import { nines } from './nines'
import { byColumn, exchangesFirst, onesFirst } from './places'
import type { Way, WayId } from './way'
import { apartWay, hops, hopUp, makeFriendly, overAndBack } from './whole'

/** Every way, in the order in which a teacher is offered them; the first that suits is the one to start with. */
const WAYS: Readonly<Record<WayId, Way>> = {
  'ones-first': onesFirst,
  'exchanges-first': exchangesFirst,
  'by-column': byColumn,
  apart: apartWay,
  hops,
  'make-friendly': makeFriendly,
  'over-and-back': overAndBack,
  'hop-up': hopUp,
  'count-all': countAll,
  'count-on': countOn,
  'count-on-from-greater': countOnFromGreater,
  'take-away': takeAway,
  'count-back': countBack,
  'count-up': countUp,
  'skip-count': skipCount,
  nines,
  compensate,
  'count-beads': countBeads,
}

export const isWay = (id: string): id is WayId => Object.hasOwn(WAYS, id)
export const wayById = (id: WayId): Way => WAYS[id]

/** One way a classroom may choose for a problem. */
export interface WayOffer {
  readonly way: WayId
  readonly title: string
  readonly school: string
  /** Which materials it suits, and why. */
  readonly at: string
  readonly default: boolean
}

/** What a material says of ways: its sort, which it cannot do, and which it starts with. */
interface Workable {
  readonly works: readonly Way['works'][]
  allows?(way: string, problem: Problem): boolean
  readonly prefers?: readonly string[]
}

/** The ways in which a problem can be worked in a material, the default first. */
export function waysOf(problem: Problem, material: Workable): readonly WayOffer[] {
  const rank = (w: Way): number => (material.prefers?.includes(w.id) ? -1 : material.works.indexOf(w.works))
  return Object.values(WAYS)
    .filter((w) => material.works.includes(w.works) && w.suits(problem) && (material.allows?.(w.id, problem) ?? true))
    .sort((a, b) => rank(a) - rank(b))
    .map((w, i) => ({ way: w.id, title: w.title, school: w.school, at: w.at, default: i === 0 }))
}
