import { randomUUID } from 'node:crypto'
import { COURSES, STEPS, withSteps, type Course } from '../../core/course/index'
import '../../core/index'
import { chosenCourse, courseTroubles, stepsHere } from '../../server/utils/courses'
import { eraseLearner } from '../../server/utils/erasing'
import { standingOf } from '../../server/utils/standings'
import type { Lesson } from '../../shared/lessons'
import type { LearnerStanding } from '../../shared/courses'
import { serve } from '../browser/world'
import { demo, everything } from './seeded'

const ours = (over: Partial<Course> = {}): Course => ({
  id: 'ours-1',
  name: 'The Loft’s own',
  about: 'Ones first, without beads.',
  steps: STEPS.map((s) => (s.strand === 'beads' ? { ...s, hidden: true } : s)),
  ...over,
})
const lessonOf = (learners: readonly string[], over: Partial<Lesson> = {}): Lesson => ({
  id: randomUUID(),
  day: '2026-11-24',
  at: '09:30',
  minutes: 12,
  learners: [...learners],
  turns: [null, ...learners, ...learners].map((learner, i) => ({
    learner,
    step: 'take-2-2-ten',
    problem: `${60 + i} - 37`,
    material: 'blocks',
    way: 'ones-first',
    mode: learner === null ? 'show' : 'alone',
  })),
  words: 'Not enough ones?',
  notes: Object.fromEntries(learners.map((id, i) => [id, `note ${i}`])),
  version: 0,
  ...over,
})

describe('through the API', () => {
  let app: Awaited<ReturnType<typeof serve>>
  let learners: readonly string[] = []
  const call = async (method: string, path: string, body?: unknown) => {
    const answer = await fetch(app.url + path, {
      method,
      ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    })
    return { status: answer.status, body: (await answer.json()) as Record<string, unknown> }
  }
  beforeAll(async () => {
    app = await serve({ demo: true })
    const room = (await (await fetch(`${app.url}/api/classroom`)).json()) as { learners: { id: string }[] }
    learners = room.learners.map((l) => l.id)
  })
  afterAll(() => app.stop())

  test('a school copies a course, changes it, takes it, and removes it again', async () => {
    expect((await call('GET', '/api/courses')).body).toEqual({ chosen: COURSES[0]!.id, own: [] })
    const kept = await call('PUT', '/api/courses/ours-1', { ...ours(), version: 0 })
    expect([kept.status, kept.body.version]).toEqual([200, 1])
    // Sent twice, since the first answer was lost, it is one; from an old version it is not taken.
    expect((await call('PUT', '/api/courses/ours-1', { ...ours(), version: 0 })).body.version).toBe(1)
    const older = await call('PUT', '/api/courses/ours-1', { ...ours({ name: 'Another' }), version: 0 })
    expect([older.status, older.body.detail]).toEqual([
      409,
      expect.stringContaining('Somebody has changed this course'),
    ])
    expect((await call('PUT', '/api/courses/ours-1', { ...ours({ name: 'Another' }), version: 1 })).body.version).toBe(
      2,
    )
    expect((await call('PUT', '/api/courses/chosen', { course: 'ours-1' })).body.chosen).toBe('ours-1')
    expect((await call('PUT', '/api/courses/chosen', { course: 'nowhere' })).status).toBe(422)
    expect((await call('DELETE', '/api/courses/ours-1')).body).toEqual({ chosen: COURSES[0]!.id, own: [] })
    expect((await call('DELETE', '/api/courses/ours-1')).status).toBe(404)
  })

  test.each([
    ['one that comes with Sett', { id: 'ones-first' }, 'comes with Sett'],
    ['a circle', { steps: withSteps(STEPS, { 'count-5': { restsOn: ['add-5'] } }) }, 'rests on itself'],
    [
      'limits that leave nothing',
      { steps: withSteps(STEPS, { 'add-5': { limits: { operation: 'add', digits: [1, 1], below: 2 } } }) },
      'its limits leave no problem',
    ],
    [
      'a limit that is not known',
      { steps: withSteps(STEPS, { 'add-5': { limits: { operation: 'add', colour: 3 } as never } }) },
      'no limit called “colour”',
    ],
    [
      'a material that is not there',
      { steps: withSteps(STEPS, { 'add-5': { materials: ['lava' as never] } }) },
      'One of these is wanted',
    ],
    ['no step', { steps: [] }, 'one step at least'],
    [
      'too many steps',
      { steps: Array.from({ length: 201 }, (_, i) => ({ ...STEPS[0]!, id: `s-${i}` })) },
      'at most 200',
    ],
    ['no name', { name: ' ' }, 'name is wanted'],
  ])('%s is refused with the reason', async (_, over, says) => {
    const course = ours(over as Partial<Course>)
    const { status, body } = await call('PUT', `/api/courses/${course.id}`, { ...course, version: 0 })
    expect([status, body.detail]).toEqual([422, expect.stringContaining(says)])
    expect((await call('GET', '/api/courses')).body.own).toEqual([])
  })

  test('where learners stand, on the course that the room takes', async () => {
    const [wren, pip] = learners
    const found = (await call('GET', `/api/standings?learners=${wren},${pip}`)).body as unknown as LearnerStanding[]
    expect(found.map((s) => s.learnerId)).toEqual([wren, pip])
    expect(found[0]!.standings.map((s) => s.step)).toContain('take-2-2-ten')
    expect(found[0]!.had.length).toBeGreaterThan(0)
    expect((await call('GET', '/api/standings?learners=x')).status).toBe(422)
    expect((await call('GET', '/api/standings')).status).toBe(422)
    const many = Array.from({ length: 41 }, () => randomUUID()).join(',')
    expect((await call('GET', `/api/standings?learners=${many}`)).status).toBe(422)
  })

  test('what a teacher says of steps counts at once, says who and when, and is taken back', async () => {
    const [wren] = learners
    const standing = async () =>
      ((await call('GET', `/api/standings?learners=${wren}`)).body as unknown as LearnerStanding[])[0]!.standings
    const told = async (step: string) => (await standing()).find((s) => s.step === step)?.told ?? null
    const path = `/api/learners/${wren}/told`
    const first = await call('PUT', path, { told: [{ step: 'times-9', knows: true }], placed: false })
    expect(first.body).toEqual({ before: [{ step: 'times-9', knows: null }] })
    expect(await told('times-9')).toEqual({
      knows: true,
      placed: false,
      overruled: false,
      by: 'this computer',
      at: expect.any(String),
    })
    const changed = {
      told: [
        { step: 'times-9', knows: false },
        { step: 'times-facts', knows: true },
      ],
      placed: true,
    }
    const { before } = (await call('PUT', path, changed)).body as unknown as { before: object[] }
    expect(before).toEqual([
      { step: 'times-9', knows: true },
      { step: 'times-facts', knows: null },
    ])
    expect(await told('times-9')).toMatchObject({ knows: false, placed: true })
    await call('PUT', path, { told: before, placed: false })
    expect([(await told('times-9'))?.knows, await told('times-facts')]).toEqual([true, null])
    expect((await call('PUT', `/api/learners/${randomUUID()}/told`, changed)).status).toBe(404)
    expect((await call('PUT', path, { told: [], placed: true })).status).toBe(422)
  })

  test('a lesson is kept, changed from the version that is there, listed by its day, and removed', async () => {
    const lesson = lessonOf(learners.slice(0, 2))
    const path = `/api/lessons/${lesson.id}`
    const kept = (await call('PUT', path, lesson)).body
    expect(kept).toEqual({ ...lesson, version: 1 })
    expect((await call('PUT', path, lesson)).body).toEqual(kept)
    expect((await call('GET', path)).body).toEqual(kept)
    expect((await call('PUT', path, { ...lesson, words: 'other' })).status).toBe(409)
    expect((await call('PUT', path, { ...lesson, words: 'other', version: 1 })).body.version).toBe(2)
    const day = (from: string, to: string) => call('GET', `/api/lessons?from=${from}&to=${to}`)
    const ids = async (from: string, to: string) => ((await day(from, to)).body as unknown as Lesson[]).map((l) => l.id)
    expect(await ids('2026-11-24', '2026-11-24')).toEqual([lesson.id])
    expect(await ids('2026-11-20', '2026-11-23')).toEqual([])
    expect((await day('2026-11-24', '2026-11-23')).status).toBe(422)
    expect((await day('2024-11-24', '2026-11-23')).status).toBe(422)
    expect((await call('DELETE', path)).status).toBe(200)
    expect((await call('GET', path)).status).toBe(404)
  })

  test('a lesson knows which of its turns were worked, whoever changes it meanwhile, and opens one again', async () => {
    const lesson = lessonOf(learners.slice(0, 2))
    const path = `/api/lessons/${lesson.id}`
    await call('PUT', path, lesson)
    const turn = lesson.turns.find((t) => t.learner !== null)!
    const { learner, problem, mode } = turn
    const record = randomUUID()
    const worked = { learner, problem, mode, record }
    const done = (await call('POST', `${path}/done`, worked)).body as unknown as Lesson
    const at = lesson.turns.indexOf(turn)
    expect(done.turns.map((t) => t.done?.record)).toEqual(lesson.turns.map((_, i) => (i === at ? record : undefined)))
    // Sent again because its answer was lost, it is the same; whoever changes the lesson from before loses nothing of it.
    expect((await call('POST', `${path}/done`, worked)).body).toEqual(done)
    expect(done.version).toBe(1)
    const changed = (await call('PUT', path, { ...lesson, words: 'other', version: 1 })).body as unknown as Lesson
    expect([changed.words, changed.turns[at]!.done?.record]).toEqual(['other', record])
    expect((await call('POST', `${path}/done`, { ...worked, problem: '1 + 1' })).status).toBe(409)
    expect((await call('POST', `${path}/done`, { ...worked, learner: 7 })).status).toBe(422)
    expect((await call('POST', `/api/lessons/${randomUUID()}/done`, worked)).status).toBe(404)
    expect((await call('DELETE', `${path}/done?record=${randomUUID()}`)).status).toBe(404)
    await call('DELETE', `${path}/done?record=${record}`)
    const open = (await call('GET', path)).body as unknown as Lesson
    expect(open.turns).toEqual(lesson.turns)
    await call('DELETE', path)
  })

  test.each([
    ['nobody', { learners: [] }, 'Somebody has to come'],
    [
      'one who does not come',
      { turns: [{ ...lessonOf([]).turns[0]!, learner: randomUUID() }] },
      'somebody who does not come',
    ],
    ['a day that is none', { day: '2026-13-40' }, 'A day is written like'],
    ['a time that is none', { at: '25:00' }, 'A time of day'],
    ['too long', { minutes: 61 }, 'at most 60 minutes'],
    ['no problem', { turns: [] }, 'one problem at least'],
    ['a note about a stranger', { notes: { [randomUUID()]: 'x' } }, 'A note is about somebody'],
  ])('a lesson with %s is refused', async (_, over, says) => {
    const lesson = lessonOf(learners.slice(0, 1), over as Partial<Lesson>)
    const { status, body } = await call('PUT', `/api/lessons/${lesson.id}`, lesson)
    expect([status, body.detail]).toEqual([422, expect.stringContaining(says)])
  })

  test('nor is one for a learner who is not there, or twice the same', async () => {
    const stranger = lessonOf([randomUUID()])
    expect((await call('PUT', `/api/lessons/${stranger.id}`, stranger)).body.detail).toContain('not among the learners')
    const twice = lessonOf([learners[0]!, learners[0]!])
    expect((await call('PUT', `/api/lessons/${twice.id}`, twice)).body.detail).toContain('Nobody comes twice')
  })
})

test('what of a lesson is a learner’s goes with them; one to which nobody comes any more goes too', async () => {
  const store = demo()
  const [wren, pip] = store.learners().map((l) => l.id) as [string, string]
  for (const l of store.lessons('2000-01-01', '2100-01-01')) store.removeLesson(l.id)
  const both = store.keepLesson(lessonOf([wren, pip]))!
  const alone = store.keepLesson(lessonOf([wren]))!
  expect(everything(store, wren).lessons).toMatchObject([{ note: 'note 0' }, { note: 'note 0' }])
  expect((await eraseLearner(() => store, wren))!.lessons).toBe(2)
  expect(store.lesson(alone.id)).toBeUndefined()
  const left = store.lesson(both.id)!
  expect(left.learners).toEqual([pip])
  expect(left.turns).toEqual(both.turns.filter((t) => t.learner !== wren))
  expect(JSON.stringify(left)).not.toContain(wren)
})

test('a learner’s standing goes by the course; what was marked lately and not withdrawn comes with it', async () => {
  const store = demo()
  const [wren] = store.learners().map((l) => l.id) as [string]
  const page = (over: object) => ({
    id: randomUUID(),
    learnerId: wren,
    markedAt: '2026-11-20T09:00:00.000Z',
    with: 'paper' as const,
    items: [{ problem: '52 - 37', answer: '25' }],
    said: { ranked: [], none: 1 },
    ...over,
  })
  store.keepMarking(page({}))
  store.keepMarking(page({ markedAt: '2026-06-20T09:00:00.000Z', items: [{ problem: '61 - 28', answer: '43' }] }))
  const taken = page({ items: [{ problem: '70 - 46', answer: '36' }] })
  store.keepMarking(taken)
  store.withdrawMarking(taken.id, 'was tired')
  const now = Date.parse('2026-11-24T12:00:00Z')
  const found = await standingOf(store, wren, now)
  expect(found.marked).toEqual([{ step: 'take-2-2-ten', problem: '52 - 37', answer: '25' }])
  const on = found.standings.find((s) => s.step === 'take-2-2-ten')!
  expect(on.ms).toBeGreaterThan(1000)
  // With that step hidden, nothing stands on it.
  store.keepCourse(ours({ steps: STEPS.map((s) => (s.id === 'take-2-2-ten' ? { ...s, hidden: true } : s)) }), 0)
  store.set('course', 'ours-1')
  expect(stepsHere(store).some((s) => s.id === 'take-2-2-ten')).toBe(false)
  expect((await standingOf(store, wren, now)).standings.map((s) => s.step)).not.toContain('take-2-2-ten')
  store.set('course', 'gone')
  expect(chosenCourse(store).id).toBe(COURSES[0]!.id)
})

test('looking through a course lets others in between its steps', async () => {
  const wide = {
    operation: 'subtract',
    digits: [9, 9],
    exchanges: [2, 5],
    acrossNought: true,
    below: 123_456_789,
  } as const
  const steps = Array.from({ length: 30 }, (_, i) => ({
    ...STEPS.find((s) => s.id === 'take-4-4')!,
    id: `s-${i}`,
    limits: { ...wide, below: wide.below + i },
    restsOn: [],
    materials: ['columns' as const],
  }))
  let turns = 0
  const timer = setInterval(() => turns++, 1)
  expect(await courseTroubles(ours({ steps }))).toEqual([])
  clearInterval(timer)
  expect(turns).toBeGreaterThan(15)
})
