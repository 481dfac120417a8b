import { COURSES, nextStep, shownSteps, standingsOf, type Done } from '../../core/course/index'

/** What comes next goes on in what a learner has worked, and to the ground that is missing for it first. */

const steps = shownSteps(COURSES[0]!)
const DAYS = ['2026-11-30', '2026-12-01', '2026-12-02']
/** A step's problem worked right without help, five times on each of three days. */
const held = (...problems: string[]): Done[] =>
  problems.flatMap((problem) =>
    DAYS.flatMap((day) =>
      Array.from({ length: 5 }, () => ({ problem, day, startedAt: `${day}T09:00:00.000Z`, alone: true })),
    ),
  )
const next = (done: readonly Done[]): string | undefined => nextStep(steps, standingsOf(steps, done))?.id
const strandOf = (id: string | undefined): string | undefined => steps.find((s) => s.id === id)?.strand

test('who holds subtracting with one exchange is not sent back to comparing up to ten', () => {
  const id = next(held('52 - 37'))
  expect(id).not.toBe('more-10')
  const ground = (of: string): readonly string[] => steps.find((s) => s.id === of)!.restsOn
  // It is the next step of taking away, or something that one rests on.
  const ahead = steps.filter((s) => s.strand === strandOf('take-2-2-ten')).map((s) => s.id)
  const below = new Set(ahead)
  for (const of of below) for (const under of ground(of)) below.add(under)
  expect(below).toContain(id)
})

test('a step that is open in the strand itself comes before any other', () => {
  const id = next(held('13 + 5', '34 + 25', '47 + 36'))
  expect(strandOf(id)).toBe(strandOf('add-2-2-ten'))
})

test('how many days in a row came right is told, up to as many as moving on asks', () => {
  const of = (done: readonly Done[]): number => standingsOf(steps, done).find((s) => s.step === 'take-2-2-ten')!.met
  expect(of([])).toBe(0)
  expect(of(held('52 - 37'))).toBe(3)
  const poor = { problem: '52 - 37', day: '2026-12-01', startedAt: '2026-12-01T10:00:00.000Z', alone: false }
  expect(of([...held('52 - 37'), poor, poor])).toBe(1)
})
