import { placement, placesAfter, PLACING, type Placed } from '../../core/course/index'
import { parseAnswer, rightOf } from '../../core/diagnose/index'
import { parseProblem } from '../../core/index'
import { placedWell, strand } from '../outside/placing'

test('simulated learners are placed right within one step in 9 of 10, and exactly in 2 of 3, with at most 12 questions', () => {
  const { near, exactly, questions, most } = placedWell(6)
  expect(most).toBeLessThanOrEqual(PLACING.most)
  expect(near).toBeGreaterThanOrEqual(0.9)
  expect(exactly).toBeGreaterThanOrEqual(2 / 3)
  expect(questions).toBeLessThan(9)
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
