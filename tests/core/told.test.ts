import {
  laidSteps,
  nextStep,
  placement,
  PLACING,
  STEPS,
  standingsOf,
  toldByPlacement,
  type Done,
  type Said,
  type Step,
  type StepStanding,
} from '../../core/course/index'

/** What teachers say of steps, and what a placement found: where a learner stands then. */

const at = (day: number): string => `2026-11-${String(day).padStart(2, '0')}T09:30:00.000Z`
const said = (knows: boolean, day = 20, placed = false): Said => ({ knows, placed, at: at(day), by: 'Hazel' })
const standings = (told: Readonly<Record<string, Said>> = {}, done: readonly Done[] = []): readonly StepStanding[] =>
  standingsOf(STEPS, done, undefined, new Map(Object.entries(told)))
const worked = (day: number, problem: string, alone: boolean): Done => ({
  problem,
  startedAt: at(day),
  day: at(day).slice(0, 10),
  alone,
})
const step = (id: string): Step => STEPS.find((s) => s.id === id)!
const laid = (all: readonly StepStanding[], id: string): boolean => laidSteps(STEPS, all).has(id)

const TEN = 'take-2-2-ten'
const below = step(TEN).restsOn[0]!

test('a new learner has no step until something is worked or said', () => {
  expect(nextStep(STEPS, standings())).toBeNull()
  expect(laidSteps(STEPS, standings()).size).toBe(0)
  expect(nextStep(STEPS, standings({ [below]: said(true) }))).not.toBeNull()
})

test('a step that is said to be known is secure with all below it, and the next one rests on what is known', () => {
  const all = standings({ [below]: said(true) })
  expect(laid(all, below)).toBe(true)
  for (const id of step(below).restsOn) expect(laid(all, id)).toBe(true)
  expect(laid(all, TEN)).toBe(false)
  const next = nextStep(STEPS, all)!
  expect(next.restsOn.some((id) => laid(all, id))).toBe(true)
})

test('a step that is said not to be known yet comes next, although one above it was begun', () => {
  const begun = [worked(18, '52 - 37', true)]
  expect(laid(standings({}, begun), below)).toBe(true)
  const all = standings({ [below]: said(false) }, begun)
  expect(laid(all, below)).toBe(false)
  expect(nextStep(STEPS, all)?.id).toBe(below)
})

test('later work overrules what was said: what holds is secure, what does not is worked again', () => {
  const sessions = [21, 22, 23]
  const well = sessions.flatMap((d) => ['52 - 37', '61 - 25', '73 - 48'].map((p) => worked(d, p, true)))
  expect(laid(standings({ [TEN]: said(false) }, well), TEN)).toBe(true)
  const badly = well.map((d) => ({ ...d, alone: false }))
  expect(laid(standings({ [TEN]: said(true) }, badly), TEN)).toBe(false)
  // One poor day since then is not enough against what somebody knows, however it went before.
  expect(laid(standings({ [TEN]: said(true, 22) }, badly), TEN)).toBe(true)
  // What was said after the work stands.
  expect(laid(standings({ [TEN]: said(false, 24) }, well), TEN)).toBe(false)
  expect(laid(standings({ [TEN]: said(true, 24) }, badly), TEN)).toBe(true)
})

test('a placement that is taken over makes its step the next one, and all below it known', () => {
  const told = toldByPlacement(STEPS, [{ strand: 'taking away', step: step(TEN) }])
  expect(told.filter((t) => !t.knows)).toEqual([{ step: TEN, knows: false }])
  expect(told).toContainEqual({ step: below, knows: true })
  const all = standings(Object.fromEntries(told.map((t) => [t.step, said(t.knows, 20, true)])))
  expect(nextStep(STEPS, all)?.id).toBe(TEN)
  expect(laid(all, below)).toBe(true)
  // A strand that is known whole leaves nothing of it to come.
  const whole = toldByPlacement(STEPS, [{ strand: 'taking away', step: null }])
  expect(whole.every((t) => t.knows)).toBe(true)
  expect(whole).toHaveLength(STEPS.filter((s) => s.strand === 'taking away').length)
})

test('on all strands the first questions are of the strand whose work is known', () => {
  const strandsAsked: string[] = []
  const asked: { step: string; problem: string; answer: null }[] = []
  for (let i = 0; i < 3; i++) {
    const { next, here } = placement(STEPS, asked, 7, [], TEN)
    if (here.find((h) => h.strand === step(TEN).strand)!.sure >= PLACING.sure) break
    strandsAsked.push(next!.step.strand)
    asked.push({ step: next!.step.id, problem: next!.problem, answer: null })
  }
  expect(strandsAsked.length).toBeGreaterThan(0)
  expect([...new Set(strandsAsked)]).toEqual([step(TEN).strand])
})
