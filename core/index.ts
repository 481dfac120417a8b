/** The core's front door. What stands here is stable; what is behind it is free to change. */
import { toProblem } from './problem/parse'
import type { Problem } from './problem/problem'
import { offersFor, type Offer } from './representation/index'
import type { RepresentationId } from './representation/representation'
import { waysOf, type WayOffer } from './way/index'
import { REPRESENTATIONS } from './representation/index'

export { parseProblem } from './problem/parse'
export { printProblem, answer, type Problem } from './problem/problem'
export { plan, type Plan, type PlanStep } from './plan/plan'
export type { PlanRequest } from './plan/setup'
export { replay, type WorkRecord } from './record/record'
export { Refusal } from './refusal'

/** Which representations can hold a problem; where one cannot, why, in words. @throws Refusal for text that is no problem. */
export const representationsFor = (problem: Problem | string): readonly Offer[] => offersFor(toProblem(problem))

/** The ways of working a problem on a representation, the default first; none where it does not fit. */
export function waysFor(problem: Problem | string, representation: RepresentationId): readonly WayOffer[] {
  const read = toProblem(problem)
  return REPRESENTATIONS[representation].fits(read).fits ? waysOf(read, REPRESENTATIONS[representation]) : []
}
