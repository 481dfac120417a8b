import {
  COURSES,
  nextStep,
  shownSteps,
  standingsOf,
  STEPS,
  strandOf,
  STRANDS,
  troublesOf,
  withSteps,
  type Course,
} from '../../core/course/index'

const own = (steps: Course['steps']): Course => ({ id: 'own', name: 'Ours', about: '', steps })

test.each(COURSES.map((c) => [c.id, c] as const))('%s has every step, and nothing is wrong with it', (_, course) => {
  expect(troublesOf(course)).toEqual([])
  expect(course.steps.map((s) => s.id).sort()).toEqual(STEPS.map((s) => s.id).sort())
  // Each step comes after what it rests on, so that a map can be read from the top.
  const seen = new Set<string>()
  for (const strand of STRANDS)
    for (const s of strandOf(course.steps, strand)) {
      for (const id of s.restsOn) expect([s.id, seen.has(id)]).toEqual([s.id, true])
      seen.add(s.id)
    }
})

test('what makes ten comes before adding over ten, or after it; and so does what is next', () => {
  const ids = (course: Course): readonly string[] => course.steps.map((s) => s.id)
  const [usual, , , late] = COURSES as [Course, Course, Course, Course]
  expect(ids(usual).indexOf('make-10')).toBeLessThan(ids(usual).indexOf('add-over-10'))
  expect(ids(late).indexOf('make-10')).toBeGreaterThan(ids(late).indexOf('add-over-10'))
  const done = [1, 2, 3].flatMap((day) =>
    ['1 + 1', '3', '7', '4 + 5', '2 + 6'].map((problem) => ({
      problem,
      startedAt: `2026-11-0${day}T09:00:00.000Z`,
      day: `2026-11-0${day}`,
      alone: true,
    })),
  )
  const nextOf = (course: Course): string => {
    const adding = course.steps.filter((s) => s.strand === 'adding')
    const steps = shownSteps(own([...course.steps.filter((s) => s.id.startsWith('count')), ...adding]))
    const standings = standingsOf(steps, done)
    return nextStep(
      steps.filter((s) => s.strand === 'adding'),
      standings,
    )!.id
  }
  expect([nextOf(usual), nextOf(late)]).toEqual(['make-10', 'add-over-10'])
})

test('where columns come late, tens and ones are shown without the column sheet', () => {
  const late = COURSES.find((c) => c.id === 'columns-late')!
  for (const id of ['add-2-2-ten', 'take-2-2-ten'])
    expect(late.steps.find((s) => s.id === id)!.materials).not.toContain('columns')
  expect(late.steps.find((s) => s.id === 'add-3-2')!.materials).toContain('columns')
})

test('what rests on a hidden step rests on what that rests on; nothing is lost by hiding', () => {
  const course = own(STEPS.map((s) => (s.id === 'add-2-1-ten' || s.id === 'add-over-10' ? { ...s, hidden: true } : s)))
  const shown = shownSteps(course)
  expect(shown.map((s) => s.id)).not.toContain('add-2-1-ten')
  expect(shown.find((s) => s.id === 'add-2-2-ten')!.restsOn).toEqual(['add-2-2', 'add-2-1', 'make-10'])
  expect(troublesOf(own(shown))).toEqual([])
})

test.each([
  ['a circle', own(withSteps(STEPS, { 'count-5': { restsOn: ['add-5'] } })), 'rests on itself'],
  ['a step that is not there', own(withSteps(STEPS, { 'count-5': { restsOn: ['nowhere'] } })), 'which is not there'],
  ['none left', own(STEPS.map((s) => ({ ...s, hidden: true }))), 'No step is left'],
  [
    'limits that conflict',
    own(withSteps(STEPS, { 'add-2-2': { limits: { operation: 'add', digits: [2, 2], carries: 2, below: 100 } } })),
    '“carries” and “below” do not go together. With “carries” 1 there would be',
  ],
  [
    'limits that cannot be',
    own(withSteps(STEPS, { 'add-2-2': { limits: { operation: 'add', exchanges: 1 } } })),
    'means nothing',
  ],
  [
    'a material that cannot hold it',
    own(withSteps(STEPS, { 'parts-same': { materials: ['counters'] } })),
    'cannot hold its problems',
  ],
  ['no material', own(withSteps(STEPS, { 'parts-same': { materials: [] } })), 'wants a material'],
])('%s is told', (_, course, says) => {
  expect(
    troublesOf(course)
      .map((t) => t.says)
      .join(' '),
  ).toContain(says)
})

test('hidden steps in a circle do not hold it up', () => {
  const round = STEPS.slice(0, 3).map((s, i, all) => ({ ...s, hidden: i > 0, restsOn: [all[(i + 1) % 3]!.id] }))
  expect(shownSteps(own(round))).toHaveLength(1)
})
