import { placement, placesAfter, PLACING, STEPS, STRANDS, type Placed, type Step } from '../../core/course/index'
import { between, seeded } from '../../core/course/random'
import { parseAnswer, rightOf, type Worked } from '../../core/diagnose/index'
import { parseProblem } from '../../core/index'
import { LEARNERS } from '../outside/mistaken'

const strand = (name: string): readonly Step[] => STEPS.filter((s) => s.strand === name)

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

test('simulated learners are placed right within one step in 9 of 10, and exactly in 2 of 3, with at most 12 questions', () => {
  let [all, near, exactly, most, total] = [0, 0, 0, 0, 0]
  for (const name of STRANDS) {
    const steps = strand(name)
    for (let stands = 0; stands <= steps.length; stands++)
      for (let seed = 0; seed < 6; seed++) {
        const { found, asked } = placed(steps, stands, 1000 * stands + seed)
        all++
        if (Math.abs(found - stands) <= 1) near++
        if (found === stands) exactly++
        most = Math.max(most, asked)
        total += asked
      }
  }
  expect(most).toBeLessThanOrEqual(PLACING.most)
  expect(near / all).toBeGreaterThanOrEqual(0.9)
  expect(exactly / all).toBeGreaterThanOrEqual(2 / 3)
  expect(total / all).toBeLessThan(9)
})

test('places are shares of one, and a right answer never makes a lower place likelier than it was', () => {
  const steps = strand('taking away')
  const at = steps[4]!
  const before = placesAfter(steps, [])
  const after = placesAfter(steps, [{ step: at.id, problem: '52 - 37', answer: rightOf(parseProblem('52 - 37')) }])
  expect(after.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12)
  for (const [place, p] of after.entries()) expect(place > 4 ? p > before[place]! : p < before[place]!).toBe(true)
})

test('an answer that a usual procedure gives says more than any other wrong one, and nothing written says that too', () => {
  const steps = strand('taking away')
  const can = (text: string): number => {
    const answer = text === '' ? null : parseAnswer(text, parseProblem('52 - 37'))
    return placesAfter(steps, [{ step: steps[4]!.id, problem: '52 - 37', answer }])
      .slice(5)
      .reduce((a, b) => a + b, 0)
  }
  expect(can('25')).toBeLessThan(can('19'))
  expect(can('')).toBeLessThan(can('19'))
})

test('stopped at any moment it says what is known so far, and goes on from there in another sitting', () => {
  const steps = strand('adding')
  const first = placement(steps, [], 3)
  expect(first.next!.problem).not.toBe('')
  const asked: Placed[] = [
    { step: first.next!.step.id, problem: first.next!.problem, answer: rightOf(parseProblem(first.next!.problem)) },
  ]
  const second = placement(steps, asked, 3)
  expect(second).toEqual(placement(steps, structuredClone(asked), 3))
  expect(second.stands).toBeGreaterThan(0)
  expect(second.next!.problem).not.toBe(first.next!.problem)
  // What is not of these steps says nothing of them.
  expect(placesAfter(steps, [{ step: 'elsewhere', problem: '1 + 1', answer: null }])).toEqual(placesAfter(steps, []))
})
