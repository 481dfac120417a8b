import {
  countProblems,
  askedAs,
  askIdOf,
  isToCheck,
  isWithin,
  laidSteps,
  nextStep,
  saidAs,
  sayIdOf,
  setProblems,
  standingsOf,
  StepFinder,
  STEPS,
  troublesIn,
  type Done,
} from '../../core/course/index'
import { CATALOGUE } from '../../core/diagnose/index'
import { packOf, parseProblem, WORD_SETS, REPRESENTATIONS, waysFor, type RepresentationId } from '../../core/index'

test('steps rest on steps that are there, in no circle; their mistakes and materials are known', () => {
  expect(troublesIn(STEPS)).toEqual([])
  const bugs = CATALOGUE.map((k) => k.id)
  for (const s of STEPS) {
    for (const id of s.usual) expect([s.id, bugs]).toEqual([s.id, expect.arrayContaining([id])])
    for (const m of s.materials) expect([s.id, REPRESENTATIONS[m].id]).toEqual([s.id, m])
  }
})

test('what is said and asked at a step is a phrase that there is, in the class’s own words', () => {
  for (const words of [WORD_SETS.exchange, WORD_SETS.regroup]) {
    const pack = packOf(words)
    for (const s of STEPS) {
      expect(s.say.length + s.ask.length).toBeGreaterThan(1)
      for (const [id, told] of [
        ...s.say.map((t) => [t, saidAs(t, pack)]),
        ...s.ask.map((t) => [t, askedAs(t, pack)]),
      ]) {
        expect([s.id, told]).toEqual([s.id, expect.stringMatching(/^[A-Z][^{}]* [^{}]*[.?]$/)])
        expect([sayIdOf(told!, pack), askIdOf(told!, pack)]).toContain(id)
      }
    }
  }
  const regroup = packOf(WORD_SETS.regroup)
  expect(saidAs('oneForTen', regroup)).toContain('regroup one ten as ten')
  // A school's own words stay as they are, whatever they are called like.
  for (const own of ['Ten reeds make a bundle.', 'constructor', '__proto__'])
    expect([saidAs(own, regroup), sayIdOf(own, regroup)]).toEqual([own, own])
})

test('a step is told apart by its title alone; its short name within its strand', () => {
  expect(new Set(STEPS.map((s) => s.title)).size).toBe(STEPS.length)
  const short = STEPS.map((s) => `${s.strand}: ${s.short ?? s.title}`)
  expect(new Set(short).size).toBe(STEPS.length)
})

test.each(STEPS.map((s) => [s.id, s] as const))('the sample of %s is its own: work on it counts there', (id, step) => {
  expect(isWithin(parseProblem(step.sample!), step.limits)).toBe(true)
  const work = { problem: step.sample!, ...(step.onlyWith ? { with: step.materials[0]! } : {}) }
  expect(new StepFinder(STEPS).find(work)).toBe(id)
})

test('a pair that makes ten counts for that step, not for adding within ten, of which it is a part', () => {
  const finder = new StepFinder(STEPS)
  expect(finder.find({ problem: '6 + 4' })).toBe('make-10')
  expect(finder.find({ problem: '6 + 3' })).toBe('add-10')
})

test('a circle, what is not there, and what is there twice are told', () => {
  const [a, b] = STEPS
  expect(
    troublesIn([
      { ...a!, restsOn: [b!.id] },
      { ...b!, restsOn: [a!.id] },
    ])[0],
  ).toContain('rests on itself')
  expect(troublesIn([{ ...a!, restsOn: ['nowhere'] }])[0]).toContain('which is not there')
  expect(troublesIn([a!, a!])[0]).toContain('is there twice')
})

test.each(STEPS.map((s) => [s.id, s] as const))(
  '%s: a thousand problems, each within it by another look; its materials can be worked with in its ways',
  (_, step) => {
    const there = Number(countProblems(step.limits))
    expect(there).toBeGreaterThan(3)
    const seen: string[] = []
    for (let seed = 0; seed < 40 && seen.length < Math.min(1000, 3 * there); seed++)
      seen.push(...setProblems({ limits: step.limits, count: 60, seed, spread: seed % 2 === 0 }))
    expect(seen.length).toBeGreaterThanOrEqual(Math.min(1000, there))
    expect(seen.filter((text) => !isWithin(parseProblem(text), step.limits))).toEqual([])
    // Each of its materials can be worked with, in one of its ways.
    for (const m of step.materials) {
      const ways = setProblems({ limits: step.limits, count: 6, seed: 1 }).flatMap((p) =>
        waysFor(p, m).map((w) => w.way),
      )
      expect([step.id, m, step.ways.some((w) => ways.includes(w))]).toEqual([step.id, m, true])
    }
  },
)

test('a problem beside a step is not within it', () => {
  const within = (id: string, text: string): boolean =>
    isWithin(parseProblem(text), STEPS.find((s) => s.id === id)!.limits)
  expect([
    within('take-2-2-ten', '52 - 37'),
    within('take-2-2-ten', '58 - 37'),
    within('take-2-2-ten', '52 + 37'),
  ]).toEqual([true, false, false])
  expect([within('take-across', '304 - 178'), within('take-across', '314 - 178')]).toEqual([true, false])
  expect([
    within('parts-same', '2/5 + 1/5'),
    within('parts-same', '4/5 + 3/5'),
    within('parts-same', '1/2 + 1/3'),
  ]).toEqual([true, false, false])
  expect([within('signs-take-minus', '-3 - (-5)'), within('signs-take-minus', '3 - 5')]).toEqual([true, false])
  expect([within('tenths', '1.2 + 3.4'), within('tenths', '12 + 34')]).toEqual([true, false])
})

test('a step holds after three days of eight in ten without help, and the next is one whose ground is laid', () => {
  const day = (n: number, problem: string, alone: boolean): Done => ({
    problem,
    startedAt: `2026-11-0${n}T09:00:00.000Z`,
    day: `2026-11-0${n}`,
    alone,
  })
  const good = [1, 2, 3].flatMap((n) =>
    ['2 + 1', '2 + 3', '1 + 1', '3 + 1', '1 + 4'].map((p) => day(n, p, p !== '1 + 1')),
  )
  const standings = standingsOf(STEPS, good)
  expect(standings.find((s) => s.step === 'add-5')).toMatchObject({ worked: 15, right: 12, days: 3, holds: true })
  expect(nextStep(STEPS, standings)!.id).toBe('count-10')
  const poor = standingsOf(STEPS, [...good, day(4, '2 + 2', false)])
  expect(poor.find((s) => s.step === 'add-5')!.holds).toBe(false)
  expect(nextStep(STEPS, poor)!.id).toBe('add-5')
  // A step that holds is looked at again after a week, and later after four.
  const held = standings.find((s) => s.step === 'add-5')!
  const at = (iso: string): boolean => isToCheck(held, STEPS, Date.parse(iso))
  expect([at('2026-11-09T09:00:00Z'), at('2026-11-10T10:00:00Z')]).toEqual([false, true])
  const again = standingsOf(STEPS, [...good, day(9, '2 + 1', true)]).find((s) => s.step === 'add-5')!
  expect(isToCheck(again, STEPS, Date.parse('2026-11-20T09:00:00Z'))).toBe(false)
  expect(isToCheck(again, STEPS, Date.parse('2026-12-08T09:00:00Z'))).toBe(true)
  // What has been begun comes first, and what it rests on is taken as laid.
  const beyond = standingsOf(STEPS, [...good, day(4, '52 - 37', true)])
  expect(nextStep(STEPS, beyond)!.id).toBe('take-2-2-ten')
  expect([...laidSteps(STEPS, beyond)]).toEqual(expect.arrayContaining(['add-5', 'take-10', 'take-teens', 'take-2-2']))
  expect(laidSteps(STEPS, beyond).has('add-2-2')).toBe(false)
})

test('steps about coins or beads count only work with these; elsewhere the same problem is another step’s', () => {
  const finder = new StepFinder(STEPS)
  const at = (problem: string, material?: RepresentationId): string | undefined =>
    finder.find({ problem, ...(material ? { with: material } : {}) })
  expect([at('37', 'coins'), at('37', 'blocks'), at('37')]).toEqual(['pay-99', 'count-99', 'count-99'])
  expect([at('4 + 3', 'abacus'), at('4 + 3', 'counters')]).toEqual(['beads-five', 'add-10'])
  // What no step about beads has is work like any other.
  expect(at('304 - 178', 'abacus')).toBe('take-across')
  expect([at('7 ? 5'), at('2/3 = ?/12'), at('3 * 1/4'), at('reeds'), at('3 + 4 - 2')]).toEqual([
    'more-10',
    'parts-names',
    'parts-times',
    undefined,
    undefined,
  ])
})

test('it goes on with what was worked with last; after three days below half, with what is more concrete', () => {
  const day = (n: number, alone: boolean, material: RepresentationId): Done => ({
    problem: '52 - 37',
    startedAt: `2026-11-0${n}T09:00:00.000Z`,
    day: `2026-11-0${n}`,
    alone,
    with: material,
    ms: 1000 * n,
  })
  const on = (done: readonly Done[]) => standingsOf(STEPS, done).find((s) => s.step === 'take-2-2-ten')!
  expect(on([]).material).toBe('blocks')
  expect(on([day(1, true, 'blocks'), day(2, true, 'columns')]).material).toBe('columns')
  const poor = [1, 2, 3].map((n) => day(n, false, 'columns'))
  expect(on(poor.slice(1)).material).toBe('columns')
  expect(on(poor)).toMatchObject({ material: 'drawn', ms: 2000, last: '2026-11-03T09:00:00.000Z', holds: false })
  // Whatever order the records come in.
  expect(on([...poor].reverse()).material).toBe('drawn')
  // A material that is not the step's does not decide.
  expect(on([day(1, true, 'abacus')]).material).toBe('blocks')
})

test('a school may want more, or less, before one moves on', () => {
  const strict = STEPS.map((s) => (s.id === 'add-5' ? { ...s, moveOn: { share: 1, sessions: 2 } } : s))
  const day = (n: number, alone: boolean): Done => ({
    problem: '2 + 1',
    startedAt: `2026-11-0${n}T09:00:00.000Z`,
    day: `2026-11-0${n}`,
    alone,
  })
  const holds = (steps: typeof STEPS, done: readonly Done[]): boolean =>
    standingsOf(steps, done).find((s) => s.step === 'add-5')!.holds
  const two = [day(1, true), day(2, true)]
  expect([holds(STEPS, two), holds(strict, two)]).toEqual([false, true])
  expect(holds(strict, [...two, day(2, false)])).toBe(false)
})
