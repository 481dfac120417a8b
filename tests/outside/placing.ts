import { placement, STEPS, strandOf, STRANDS, type Placed, type Step, type Strand } from '../../core/course/index'
import { between, seeded } from '../../core/course/random'
import { parseAnswer, rightOf, type Worked } from '../../core/diagnose/index'
import { parseProblem } from '../../core/index'
import { LEARNERS } from './mistaken'

/** Learners who can do some steps, learnt in an order of their own, and how well they are placed. */

export const strand = (name: Strand): readonly Step[] => strandOf(STEPS, name)

/** The steps of somebody who has learnt so many of them, each after what it rests on. */
export function learnt(steps: readonly Step[], many: number, random: () => number): ReadonlySet<string> {
  const can = new Set<string>()
  const there = new Set(steps.map((s) => s.id))
  while (can.size < many) {
    const open = steps.filter((s) => !can.has(s.id) && s.restsOn.every((id) => can.has(id) || !there.has(id)))
    can.add(open[Math.floor(random() * open.length)]!.id)
  }
  return can
}

/** What is beyond a learner goes wrong by a usual procedure or any way, what is not slips now and then. */
function answers(can: ReadonlySet<string>, random: () => number) {
  return (step: Step, text: string): Worked | null => {
    const problem = parseProblem(text)
    if (random() < (can.has(step.id) ? 0.9 : 0.08)) return rightOf(problem)
    const usual = can.has(step.id) ? undefined : step.usual.map((id) => LEARNERS[id]?.(text)).find((a) => a != null)
    return usual && random() < 0.5 ? parseAnswer(usual, problem) : parseAnswer(String(between(random, 1, 999)), problem)
  }
}

/** How many steps a learner is placed wrongly on, and with how many questions. */
function placed(
  steps: readonly Step[],
  many: number,
  seed: number,
): { readonly wrong: number; readonly asked: number } {
  const random = seeded(seed)
  const can = learnt(steps, many, random)
  const answer = answers(can, random)
  const asked: Placed[] = []
  for (;;) {
    const { next, likely } = placement(steps, asked, seed)
    if (!next) return { wrong: steps.filter((s, i) => likely[i]! >= 0.5 !== can.has(s.id)).length, asked: asked.length }
    asked.push({ step: next.step.id, problem: next.problem, answer: answer(next.step, next.problem) })
  }
}

export interface PlacedWell {
  /** Shares of learners of whom at most one step, or none, was said wrongly. */
  readonly near: number
  readonly exactly: number
  /** Share of all steps that were said rightly. */
  readonly steps: number
  readonly questions: number
  readonly most: number
}

/** Of learners who have learnt every number of steps, so many each, or every `apart`th number: how well they are placed, on one strand after another or on all together. */
export function placedWell(
  each: number,
  worlds: readonly (readonly Step[])[] = STRANDS.map(strand),
  apart = 1,
): PlacedWell {
  let [all, near, exactly, most, total, said, right] = [0, 0, 0, 0, 0, 0, 0]
  for (const steps of worlds)
    for (let many = 0; many <= steps.length; many += apart)
      for (let seed = 0; seed < each; seed++) {
        const { wrong, asked } = placed(steps, many, 1000 * many + seed)
        all++
        if (wrong <= 1) near++
        if (wrong === 0) exactly++
        said += steps.length
        right += steps.length - wrong
        most = Math.max(most, asked)
        total += asked
      }
  return { near: near / all, exactly: exactly / all, steps: right / said, questions: total / all, most }
}
