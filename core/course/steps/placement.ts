import type { Worked } from '../../mistakes/procedure'
import { comesTo } from '../../diagnose/item'
import { predicted } from '../../diagnose/predict'
import { suspectOf } from '../../diagnose/next'
import { rightOf } from '../../mistakes/procedure'
import { parseProblem } from '../../problem/parse'
import { seeded } from '../random'
import { setProblems } from '../setter/setter'
import type { Step, Strand } from './step'

/**
 * Where a learner stands among steps that rest on one another, found with few questions. Whoever can do a step can do all it rests on.
 * A step that one can do is answered, but for slips; one that one cannot only by chance; by Bayes' rule each answer says how likely each
 * way of standing is. Rates are our own estimate.
 */

/** How often what one can do goes wrong, and how often what one cannot do yet comes out right. */
export const PLACING = { slip: 0.1, chance: 0.08, most: 12, sure: 0.9 } as const
/** Of wrong answers, those that a usual procedure gives: of one who slips, and of one who has not come so far. */
const AS_USUAL = { slips: 0.1, cannot: 0.6 } as const

/** A question that was asked, and what was answered. */
export interface Placed {
  readonly step: string
  readonly problem: string
  readonly answer: Worked | null
}

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

/** Ways of standing: for each, which steps one can do (nought or one a step), and how likely it is before anything was asked. */
interface Stands {
  readonly can: readonly Uint8Array[]
  readonly before: Float64Array
  /** For each strand the first of its steps that one cannot do, by its number; −1 where one can do all. */
  readonly first: ReadonlyMap<Strand, Int16Array>
}
/** So many orders are gone through in which steps may be learnt; where each step rests on the one before it there is just one. */
const ORDERS = 200
const known = new WeakMap<readonly Step[], Stands>()

/** The orders in which steps may be learnt, cut off at every length, each length as likely as any other. */
function standsOf(steps: readonly Step[]): Stands {
  const found = known.get(steps)
  if (found) return found
  const at = new Map(steps.map((s, i) => [s.id, i]))
  const under = steps.map((s) => s.restsOn.flatMap((id) => at.get(id) ?? []))
  const random = seeded(steps.length)
  const weights = new Map<string, { readonly can: Uint8Array; weight: number }>()
  for (let order = 0; order < ORDERS; order++) {
    const can = new Uint8Array(steps.length)
    for (let length = 0; ; length++) {
      const key = can.join('')
      const entry = weights.get(key) ?? { can: can.slice(), weight: 0 }
      weights.set(key, entry)
      entry.weight++
      const open = steps.flatMap((_, i) => (can[i] === 0 && under[i]!.every((u) => can[u] === 1) ? [i] : []))
      if (open.length === 0 || length === steps.length) break
      can[open[Math.floor(random() * open.length)]!] = 1
    }
  }
  const all = [...weights.values()]
  const sum = all.reduce((n, { weight }) => n + weight, 0)
  const strands = [...new Set(steps.map((s) => s.strand))].map((strand) => {
    const own = steps.flatMap((s, i) => (s.strand === strand ? [i] : []))
    return [strand, Int16Array.from(all, ({ can }) => own.find((i) => can[i] === 0) ?? -1)] as const
  })
  const stands: Stands = {
    can: all.map((w) => w.can),
    before: Float64Array.from(all, (w) => w.weight / sum),
    first: new Map(strands),
  }
  known.set(steps, stands)
  return stands
}

/** How likely each way of standing is after some answers. Answers to other steps are left out. */
function weighed(steps: readonly Step[], { can, before }: Stands, asked: readonly Placed[]): Float64Array {
  const likely = before.slice()
  for (const one of asked) {
    const at = steps.findIndex((s) => s.id === one.step)
    if (at < 0) continue
    const [yes, no] = chances(steps[at]!, one)
    let all = 0
    for (let i = 0; i < likely.length; i++) all += likely[i]! *= can[i]![at] === 1 ? yes : no
    for (let i = 0; i < likely.length; i++) likely[i]! /= all
  }
  return likely
}

/** How likely it is that one can do each step. */
function likelyEach(steps: readonly Step[], { can }: Stands, likely: Float64Array): readonly number[] {
  const each = new Float64Array(steps.length)
  for (const [i, p] of likely.entries()) {
    const row = can[i]!
    for (let at = 0; at < row.length; at++) if (row[at] === 1) each[at]! += p
  }
  return Array.from(each, (p) => Math.min(1, p))
}

/** How likely it is, after some answers, that one can do each step. */
export function likelyAfter(steps: readonly Step[], asked: readonly Placed[]): readonly number[] {
  const stands = standsOf(steps)
  return likelyEach(steps, stands, weighed(steps, stands, asked))
}

/** What is expected to be learnt from asking a step that one can do with this likelihood, in bits. */
function bitsOf(able: number): number {
  const { slip, chance } = PLACING
  const entropy = (p: number): number => (p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p))
  return entropy(able * (1 - slip) + (1 - able) * chance) - able * entropy(slip) - (1 - able) * entropy(chance)
}

/** Where a learner stands as far as is known, and what to ask next; `next` is null once it is known, or has been asked for long enough. */
export interface Placement {
  /** How likely it is that one can do each step, in their order. */
  readonly likely: readonly number[]
  /** For each strand the step to work on: the first that one cannot do likelier than not; null where one can do all. With how sure that is. */
  readonly here: readonly { readonly strand: Strand; readonly step: Step | null; readonly sure: number }[]
  readonly next: { readonly step: Step; readonly problem: string } | null
}

/**
 * Where a learner stands after some answers; `earlier` ones were given before, and were not asked here. The strand of the work that is
 * known (`near`, a step of it) is asked first, until it is sure. The same seed asks the same problems.
 */
export function placement(
  steps: readonly Step[],
  asked: readonly Placed[],
  seed: number,
  earlier: readonly Placed[] = [],
  near: string | null = null,
): Placement {
  const stands = standsOf(steps)
  const likely = weighed(steps, stands, [...earlier, ...asked])
  const each = likelyEach(steps, stands, likely)
  const here = [...stands.first].map(([strand, first]) => {
    const at = steps.findIndex((s, i) => s.strand === strand && each[i]! < 0.5)
    const sure = likely.reduce((sum, p, i) => (first[i] === at ? sum + p : sum), 0)
    return { strand, step: steps[at] ?? null, sure: Math.min(1, sure) }
  })
  const isKnown = here.every(({ sure }) => sure >= PLACING.sure) || asked.length >= PLACING.most
  if (isKnown) return { likely: each, here, next: null }
  const about = steps.find((s) => s.id === near)?.strand
  const unsure = here.some((h) => h.strand === about && h.sure < PLACING.sure)
  const bits = each.map((able, i) => (unsure && steps[i]!.strand !== about ? -1 : bitsOf(able)))
  const step = steps[bits.indexOf(Math.max(...bits))]!
  const without = [...earlier, ...asked].map((a) => a.problem)
  const problem = telling(step, setProblems({ step, count: TO_CHOOSE, seed: seed + asked.length, without }))
  return { likely: each, here, next: problem === undefined ? null : { step, problem } }
}

const TO_CHOOSE = 6

/** The problem that the fewest usual mistakes leave right by luck: who makes one is then seen to. */
function telling(step: Step, problems: readonly string[]): string | undefined {
  const lucky = (text: string): number => {
    const problem = parseProblem(text)
    const right = rightOf(problem)
    return step.usual.filter((id) => predicted(suspectOf([id]), problem).some((way) => comesTo(way, right))).length
  }
  const counts = problems.map(lucky)
  return problems[counts.indexOf(Math.min(...counts))]
}
