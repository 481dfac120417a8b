import type { Problem } from '../problem/problem'
import { exchangesFirst, onesFirst } from './places'
import type { Way, WayId } from './way'

const WAYS: Readonly<Record<WayId, Way>> = { 'ones-first': onesFirst, 'exchanges-first': exchangesFirst }

export const isWay = (id: string): id is WayId => Object.hasOwn(WAYS, id)
export const wayById = (id: WayId): Way => WAYS[id]

/** One way a classroom may choose for a problem. */
export interface WayOffer {
  readonly way: WayId
  readonly title: string
  readonly school: string
  readonly default: boolean
}

/** The ways in which a problem can be worked, the default first. Every representation so far has places, which is all they need. */
export function waysOf(problem: Problem): readonly WayOffer[] {
  const ways = problem.terms.length > 0 ? [onesFirst, exchangesFirst] : [onesFirst]
  return ways.map((w, i) => ({ way: w.id, title: w.title, school: w.school, default: i === 0 }))
}
