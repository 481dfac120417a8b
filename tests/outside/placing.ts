import { placement, STEPS, STRANDS, type Placed, type Step } from '../../core/course/index'
import { between, seeded } from '../../core/course/random'
import { parseAnswer, rightOf, type Worked } from '../../core/diagnose/index'
import { parseProblem } from '../../core/index'
import { LEARNERS } from './mistaken'

/** Learners who stand somewhere on a strand, and how well they are placed. */

export const strand = (name: string): readonly Step[] => STEPS.filter((s) => s.strand === name)

/** A learner who can do so many of the steps: what is beyond goes wrong by a usual procedure or any way, what is not slips now and then. */
function answers(steps: readonly Step[], stands: number, random: () => number) {
  return (step: Step, text: string): Worked | null => {
    const problem = parseProblem(text)
    const can = steps.indexOf(step) < stands
    if (random() < (can ? 0.9 : 0.08)) return rightOf(problem)
    const usual = can ? undefined : step.usual.map((id) => LEARNERS[id]?.(text)).find((a) => a != null)
    return usual && random() < 0.5 ? parseAnswer(usual, problem) : parseAnswer(String(between(random, 1, 999)), problem)
  }
}

function placed(
  steps: readonly Step[],
  stands: number,
  seed: number,
): { readonly found: number; readonly asked: number } {
  const random = seeded(seed)
  const answer = answers(steps, stands, random)
  const asked: Placed[] = []
  for (;;) {
    const { next, stands: found } = placement(steps, asked, seed)
    if (!next) return { found, asked: asked.length }
    asked.push({ step: next.step.id, problem: next.problem, answer: answer(next.step, next.problem) })
  }
}

/** Of learners at every place of every strand, so many each: how many are placed within one step, how many exactly, and with how many questions. */
export function placedWell(each: number): {
  readonly near: number
  readonly exactly: number
  readonly questions: number
  readonly most: number
} {
  let [all, near, exactly, most, total] = [0, 0, 0, 0, 0]
  for (const name of STRANDS) {
    const steps = strand(name)
    for (let stands = 0; stands <= steps.length; stands++)
      for (let seed = 0; seed < each; seed++) {
        const { found, asked } = placed(steps, stands, 1000 * stands + seed)
        all++
        if (Math.abs(found - stands) <= 1) near++
        if (found === stands) exactly++
        most = Math.max(most, asked)
        total += asked
      }
  }
  return { near: near / all, exactly: exactly / all, questions: total / all, most }
}
