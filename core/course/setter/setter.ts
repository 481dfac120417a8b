import { parseProblem } from '../../problem/parse'
import { printProblem } from '../../problem/problem'
import { Refusal } from '../../refusal'
import { seeded } from '../random'
import { featuresIn } from './features'
import { checkLimits, type Limits } from './limits'
import { isTurned, problemsOf, SIGNS } from './problems'

/** What is to be set: problems within limits, or of a step. */
export type SetWish = ({ readonly limits: Limits } | { readonly step: { readonly limits: Limits } }) & SetHow

interface SetHow {
  /** How many, 1 to 60. */
  readonly count: number
  readonly seed: number
  /** Problems that are not to be set: what a learner has had lately. */
  readonly without?: readonly string[]
  /** Evenly over what makes problems differ (which columns exchange, how long numbers are), rather than as chance has it. */
  readonly spread?: boolean
  /** The hardest last. */
  readonly hardestLast?: boolean
}

export const MOST_SET = 60
/** So many are drawn for each that is wanted, so that there is something to spread over. */
const DRAWN = 6

/** The same problem turned round has the same key, unless it counts as another. */
function twinKey(text: string, limits: Limits): string {
  const { operation } = limits
  if (isTurned(limits) || !['add', 'multiply', 'compare'].includes(operation)) return text
  const sign = ` ${SIGNS[operation]} `
  return text.split(sign).sort().join(sign)
}

/** Problems within limits, no two alike; the same seed gives the same ones. Fewer than wanted where there are no more. @throws Refusal where limits are unknown or cannot be, or leave none. */
export function setProblems(wish: SetWish): readonly string[] {
  const { count, seed, without = [], spread = true, hardestLast = false } = wish
  const limits = 'step' in wish ? wish.step.limits : wish.limits
  const problems = problemsOf(checkLimits(limits))
  if (problems.count === 0n) throw new Refusal('There are no such problems.', 'Loosen a limit.')
  const wanted = Math.min(MOST_SET, Math.max(1, Math.round(count)))
  const random = seeded(seed)
  const used = new Set(without.map((text) => twinKey(normal(text), limits)))
  const drawn = new Map<string, string>()
  const met = new Set<string>()
  /** Once all there are have been met there is nothing more to draw. */
  const more = (): boolean => drawn.size < wanted * DRAWN && BigInt(met.size) < problems.count
  for (let tries = 0; tries < wanted * DRAWN * 8 && more(); tries++) {
    const text = problems.draw(random)
    const key = twinKey(text, limits)
    met.add(key)
    if (!used.has(key) && !drawn.has(key)) drawn.set(key, text)
  }
  const all = [...drawn.values()]
  const chosen = limits.lookAlike ? alikeFirst(all, wanted) : spread ? evenly(all, wanted) : all.slice(0, wanted)
  return hardestLast ? [...chosen].sort((a, b) => featuresIn(a).hardness - featuresIn(b).hardness) : chosen
}

/** A text as the setter writes it; what cannot be read stays as it is. */
function normal(text: string): string {
  try {
    return printProblem(parseProblem(text)).replace(/ ([+-]) -(\d+)/g, ' $1 (-$2)')
  } catch {
    return text
  }
}

/** One from each kind in turn, so that no kind of problem crowds out the others. */
function evenly(all: readonly string[], wanted: number): readonly string[] {
  const kinds = new Map<string, string[]>()
  for (const text of all) {
    const { kind } = featuresIn(text)
    kinds.set(kind, [...(kinds.get(kind) ?? []), text])
  }
  const lists = [...kinds.values()]
  const chosen: string[] = []
  for (let turn = 0; chosen.length < wanted && lists.some((list) => list.length > turn); turn++)
    for (const list of lists) if (list[turn] !== undefined && chosen.length < wanted) chosen.push(list[turn]!)
  return chosen
}

/** Whether two numbers are easily taken for each other: the same digits in another order, or all but one the same. */
export function looksAlike(a: string, b: string): boolean {
  if (a === b || a.length !== b.length) return false
  const differ = [...a].filter((c, i) => c !== b[i]).length
  return differ === 1 || [...a].sort().join('') === [...b].sort().join('')
}

/** Problems whose first numbers look like one another, the largest such family first. */
function alikeFirst(all: readonly string[], wanted: number): readonly string[] {
  const firstOf = (text: string): string => text.split(' ')[0]!
  const families = all.map((text) => [text, ...all.filter((other) => looksAlike(firstOf(text), firstOf(other)))])
  families.sort((a, b) => b.length - a.length)
  const chosen = new Set<string>()
  for (const family of families) {
    if (family.length < 2) break
    for (const text of family) if (chosen.size < wanted) chosen.add(text)
  }
  for (const text of all) if (chosen.size < wanted) chosen.add(text)
  return [...chosen]
}
