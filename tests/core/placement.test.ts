import { likelyAfter, placement, PLACING, STEPS, type Placed } from '../../core/course/index'
import { parseAnswer, rightOf } from '../../core/diagnose/index'
import { parseProblem } from '../../core/index'
import { placedWell, strand } from '../outside/placing'

test('simulated learners are placed right within one step in 9 of 10, and exactly in 2 of 3, with at most 12 questions', () => {
  const { near, exactly, questions, most } = placedWell(3)
  expect(most).toBeLessThanOrEqual(PLACING.most)
  expect(near).toBeGreaterThanOrEqual(0.9)
  expect(exactly).toBeGreaterThanOrEqual(2 / 3)
  expect(questions).toBeLessThan(9)
})

test('on all strands together, with twelve questions, most of what a learner can do is known', () => {
  const { steps, most } = placedWell(1, [STEPS], 4)
  expect(most).toBe(PLACING.most)
  expect(steps).toBeGreaterThanOrEqual(0.85)
})

const right = (text: string) => rightOf(parseProblem(text))

test('who can do a step can do what it rests on: a right answer never makes a step below it less likely', () => {
  const before = likelyAfter(STEPS, [])
  const after = likelyAfter(STEPS, [{ step: 'take-2-2-ten', problem: '52 - 37', answer: right('52 - 37') }])
  const below = ['take-2-2', 'take-teens', 'add-over-10', 'make-10', 'count-5']
  for (const [i, s] of STEPS.entries())
    if (below.includes(s.id)) expect([s.id, after[i]! > before[i]!]).toEqual([s.id, true])
  for (const likely of [before, after])
    for (const s of STEPS)
      for (const id of s.restsOn)
        expect(likely[STEPS.indexOf(s)]!).toBeLessThanOrEqual(likely[STEPS.findIndex((u) => u.id === id)]! + 1e-9)
})

test('an answer that a usual procedure gives says more than any other wrong one, and nothing written says that too', () => {
  const steps = strand('taking away')
  const at = steps.findIndex((s) => s.id === 'take-2-2-ten')
  const can = (text: string): number => {
    const answer = text === '' ? null : parseAnswer(text, parseProblem('52 - 37'))
    return likelyAfter(steps, [{ step: 'take-2-2-ten', problem: '52 - 37', answer }])[at]!
  }
  expect(can('25')).toBeLessThan(can('19'))
  expect(can('')).toBeLessThan(can('19'))
})

test('what was answered before, on a page that was marked, counts as if it had been asked, and takes no question away', () => {
  const steps = strand('taking away')
  const page: Placed[] = ['52 - 37', '61 - 28', '93 - 45'].map((problem) => ({
    step: 'take-2-2-ten',
    problem,
    answer: right(problem),
  }))
  const at = steps.findIndex((s) => s.id === 'take-2-2-ten')
  const known = placement(steps, [], 3, page)
  expect(known.likely[at]).toBeGreaterThan(0.95)
  expect(known.likely[at]).toBeGreaterThan(placement(steps, [], 3).likely[at]!)
  // It asks about what is beyond.
  expect(steps.indexOf(known.next!.step)).toBeGreaterThan(at)
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
  expect(second.likely.some((p, i) => p > first.likely[i]!)).toBe(true)
  expect(second.next!.problem).not.toBe(first.next!.problem)
  // What is not of these steps says nothing of them.
  expect(likelyAfter(steps, [{ step: 'elsewhere', problem: '1 + 1', answer: null }])).toEqual(likelyAfter(steps, []))
})
