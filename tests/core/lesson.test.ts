import fc from 'fast-check'
import {
  afterwards,
  isWithin,
  LESSON_MINUTES,
  lessonTime,
  MOST_IN_LESSON,
  planLesson,
  stepById,
  STEPS,
  type Coming,
  type LessonWish,
} from '../../core/course/index'
import { parseProblem, Refusal, representationsFor, waysFor } from '../../core/index'

const coming = (id: string, step: string, more: Partial<Coming> = {}): Coming => ({
  id,
  step: stepById(step)!,
  ...more,
})
const two = [coming('wren', 'take-2-2-ten'), coming('pip', 'take-2-2-ten')]

const wishes: fc.Arbitrary<LessonWish> = fc.record({
  minutes: fc.integer({ min: LESSON_MINUTES.least, max: 30 }),
  seed: fc.integer({ min: 0, max: 999 }),
  learners: fc
    .array(fc.record({ step: fc.constantFrom(...STEPS), ms: fc.option(fc.integer({ min: 1000, max: 400_000 })) }), {
      minLength: 1,
      maxLength: MOST_IN_LESSON,
    })
    .map((all) => all.map(({ step, ms }, i): Coming => ({ id: `learner ${i}`, step, ms }))),
})

test('whoever comes works alone at least once, at their own step, with what can hold it; first all look, then together, then alone', () => {
  fc.assert(
    fc.property(wishes, (wish) => {
      const { turns } = planLesson(wish)
      const modes = turns.map((t) => ['show', 'together', 'alone'].indexOf(t.mode))
      expect(modes).toEqual([...modes].sort())
      for (const l of wish.learners) {
        const own = turns.filter((t) => t.learner === l.id)
        expect(own.some((t) => t.mode === 'alone')).toBe(true)
        expect(new Set(own.map((t) => t.step))).toEqual(new Set([l.step.id]))
      }
      for (const step of new Set(wish.learners.map((l) => l.step)))
        expect(turns.filter((t) => t.mode === 'show' && t.step === step.id)).toHaveLength(1)
      for (const t of turns) {
        expect([t.problem, isWithin(parseProblem(t.problem), stepById(t.step)!.limits)]).toEqual([t.problem, true])
        const offer = representationsFor(t.problem).find((o) => o.representation === t.material)
        expect([t.problem, t.material, offer?.fits]).toEqual([t.problem, t.material, true])
        if (t.way) expect(waysFor(t.problem, t.material).map((w) => w.way)).toContain(t.way)
      }
    }),
    { numRuns: 60 },
  )
})

test('it fits its minutes where it can, by how long these learners took; else it says so', () => {
  fc.assert(
    fc.property(wishes, (wish) => {
      const { takes, notes } = planLesson(wish)
      if (!notes.join(' ').includes('The time is short')) expect(takes).toBeLessThanOrEqual(wish.minutes)
      if (takes > wish.minutes + 1) expect(notes.join(' ')).toContain(`It takes about`)
    }),
    { numRuns: 60 },
  )
  const quick = planLesson({ learners: two.map((l) => ({ ...l, ms: 20_000 })), minutes: 10, seed: 1 })
  const slow = planLesson({ learners: two.map((l) => ({ ...l, ms: 120_000 })), minutes: 10, seed: 1 })
  expect(quick.turns.length).toBeGreaterThan(2 * slow.turns.length)
  expect(planLesson({ learners: two, minutes: 3, seed: 1 }).notes.join(' ')).toContain('The time is short')
})

test('a plan takes as long as its turns do together; helped, a problem takes half as long again as alone', () => {
  fc.assert(
    fc.property(wishes, (wish) => {
      const { turns, takes } = planLesson(wish)
      const ms = (id: string): number | null => wish.learners.find((l) => l.id === id)?.ms ?? null
      const time = lessonTime(turns, ms)
      expect(Math.round(time.all / 60_000)).toBe(takes)
      for (const [i, turn] of turns.entries())
        if (turn.learner) expect(time.each[i]! / time.paces.get(turn.learner)!).toBe(turn.mode === 'alone' ? 1 : 1.5)
    }),
    { numRuns: 60 },
  )
})

test('problems are shared out without one coming twice, easier ones first, never what was had while there are others', () => {
  // What the same seed gave before was had: none of it comes again.
  const had = planLesson({ learners: two, minutes: 12, seed: 5 }).turns.map((t) => t.problem)
  const { turns } = planLesson({ learners: two.map((l) => ({ ...l, had })), minutes: 12, seed: 5 })
  const problems = turns.map((t) => t.problem)
  expect(new Set(problems).size).toBe(problems.length)
  for (const p of had) expect(problems).not.toContain(p)
  // Alone they take turns.
  const order = turns.filter((t) => t.mode === 'alone').map((t) => t.learner)
  expect(order.slice(0, 4)).toEqual(['wren', 'pip', 'wren', 'pip'])
  expect(planLesson({ learners: two, minutes: 12, seed: 5 })).toEqual(
    planLesson({ learners: two, minutes: 12, seed: 5 }),
  )
})

test('a step with few problems gives them again, and says so', () => {
  const { turns, notes } = planLesson({ learners: [coming('moth', 'count-5')], minutes: 15, seed: 2 })
  expect(turns.length).toBeGreaterThan(5)
  expect(notes.join(' ')).toContain('have been had lately')
})

test('each works with what suits them; what all look at is shown with the most concrete of it', () => {
  const group = [
    coming('wren', 'take-2-2-ten', { material: 'columns' }),
    coming('pip', 'take-2-2-ten', { material: 'drawn' }),
  ]
  const { turns } = planLesson({ learners: group, minutes: 12, seed: 1 })
  expect(turns.find((t) => t.mode === 'show')!.material).toBe('drawn')
  expect(new Set(turns.filter((t) => t.learner === 'wren').map((t) => t.material))).toEqual(new Set(['columns']))
  const next = afterwards(STEPS, stepById('take-2-2-ten')!, 'drawn')
  expect(next.badly.material).toBe('blocks')
  expect(next.badly.steps.map((s) => s.id)).toEqual(['take-teens', 'take-2-2'])
  expect(next.well.map((s) => s.id)).toContain('take-3-3')
})

test.each([
  [{ learners: [], minutes: 10, seed: 1 }, '1 to 8 learners'],
  [{ learners: new Array<Coming>(9).fill(two[0]!), minutes: 10, seed: 1 }, '1 to 8 learners'],
  [{ learners: two, minutes: 2, seed: 1 }, '3 to 60 minutes'],
  [{ learners: two, minutes: Number.NaN, seed: 1 }, '3 to 60 minutes'],
])('what is no lesson is refused', (wish, says) => {
  expect(() => planLesson(wish)).toThrow(Refusal)
  expect(() => planLesson(wish)).toThrow(says)
})

test('twelve minutes hold what twelve minutes hold: handing over takes its time, however quickly the moves were made', () => {
  const quick = two.map((l) => ({ ...l, ms: 12_000 }))
  const { turns, takes } = planLesson({ learners: quick, minutes: 12, seed: 1 })
  expect(turns.length).toBeLessThanOrEqual(15)
  expect(takes).toBeLessThanOrEqual(12)
  const slow = two.map((l) => ({ ...l, ms: 120_000 }))
  expect(planLesson({ learners: slow, minutes: 12, seed: 1 }).turns.length).toBeLessThan(turns.length)
})
