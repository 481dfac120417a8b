import type { Worked } from '../../mistakes/procedure'
import { comesTo } from '../../diagnose/item'
import { predicted } from '../../diagnose/predict'
import { suspectOf } from '../../diagnose/next'
import { rightOf } from '../../mistakes/procedure'
import { parseProblem } from '../../problem/parse'
import { setProblems } from '../setter/setter'
import type { Step } from './step'

/**
 * Where on a strand of steps a learner stands, found with few questions. A learner who stands on a step answers it and all before it,
 * but for slips, and those after it only by chance; by Bayes' rule each answer says how likely each place is. Rates are our own estimate.
 */

/** How often what one can do goes wrong, and how often what one cannot do yet comes out right. */
export const PLACING = { slip: 0.1, chance: 0.08, most: 12, sure: 0.85 } as const
/** Of wrong answers, those that a usual procedure gives: of one who slips, and of one who has not come so far. */
const AS_USUAL = { slips: 0.1, cannot: 0.6 } as const

/** A question that was asked, and what was answered. */
export interface Placed {
  readonly step: string
  readonly problem: string
  readonly answer: Worked | null
}

/** How likely each place is: before the first step, then on each of them. Shares of one. */
export type Places = readonly number[]

/** How likely an answer is for somebody who can do the step, and for somebody who cannot. */
function chances(step: Step, { problem, answer }: Placed): readonly [can: number, cannot: number] {
  const { slip, chance } = PLACING
  // Nothing written says what a wrong answer would: more likely not known than slipped.
  if (!answer) return [slip * 0.3, 1 - chance]
  const read = parseProblem(problem)
  if (comesTo(answer, rightOf(read))) return [1 - slip, chance]
  const usual = step.usual.some((id) => predicted(suspectOf([id]), read).some((way) => comesTo(answer, way)))
  return usual
    ? [slip * AS_USUAL.slips, (1 - chance) * AS_USUAL.cannot]
    : [slip * (1 - AS_USUAL.slips), (1 - chance) * (1 - AS_USUAL.cannot)]
}

/** How likely each place is after some answers, each place being as likely before any. Answers to other steps are left out. */
export function placesAfter(steps: readonly Step[], asked: readonly Placed[]): Places {
  let places: number[] = new Array<number>(steps.length + 1).fill(1 / (steps.length + 1))
  for (const one of asked) {
    const at = steps.findIndex((s) => s.id === one.step)
    if (at < 0) continue
    const [can, cannot] = chances(steps[at]!, one)
    places = places.map((p, place) => p * (place > at ? can : cannot))
    const all = places.reduce((a, b) => a + b, 0)
    places = places.map((p) => p / all)
  }
  return places
}

/** What is expected to be learnt of the place from asking a step, in bits. */
function bitsOf(places: Places, at: number): number {
  const { slip, chance } = PLACING
  const able = places.slice(at + 1).reduce((a, b) => a + b, 0)
  const entropy = (p: number): number => (p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p))
  return entropy(able * (1 - slip) + (1 - able) * chance) - able * entropy(slip) - (1 - able) * entropy(chance)
}

/** Where a learner stands as far as is known, and what to ask next; `next` is null once it is known, or has been asked for long enough. */
export interface Placement {
  readonly places: Places
  /** How many of the steps stand: those that are likelier to than not. */
  readonly stands: number
  readonly sure: number
  readonly next: { readonly step: Step; readonly problem: string } | null
}

/** Where a learner stands after some answers. The same seed asks the same problems. */
export function placement(steps: readonly Step[], asked: readonly Placed[], seed: number): Placement {
  const places = placesAfter(steps, asked)
  const stands = steps.filter((_, at) => places.slice(at + 1).reduce((a, b) => a + b, 0) >= 0.5).length
  const sure = places[stands]!
  const known = sure >= PLACING.sure || asked.length >= PLACING.most || steps.length === 0
  if (known) return { places, stands, sure, next: null }
  const bits = steps.map((_, at) => bitsOf(places, at))
  const step = steps[bits.indexOf(Math.max(...bits))]!
  const without = asked.map((a) => a.problem)
  const [problem] = setProblems({ limits: step.limits, count: 1, seed: seed + asked.length, without })
  return { places, stands, sure, next: problem ? { step, problem } : null }
}
