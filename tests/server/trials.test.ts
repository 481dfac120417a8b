import { randomUUID } from 'node:crypto'
import { cellById, SCENES, tellStory, workable, type StoryWork, type ToldPlan } from '../../core/story/index'
import type { RecordPage } from '../../shared/listing'
import type { Progress } from '../../shared/progress'
import type { Trial } from '../../shared/trials'
import { serve } from '../browser/world'

/** Stories that were worked, through the API: judged here, kept once, found, exported, read back, erased. */

let app: Awaited<ReturnType<typeof serve>>
let learner = ''
let other = ''
const call = async (method: string, path: string, body?: unknown) => {
  const answer = await fetch(app.url + path, {
    method,
    ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
  })
  const text = await answer.text()
  return { status: answer.status, body: (text === '' ? {} : JSON.parse(text)) as Record<string, unknown> }
}
beforeAll(async () => {
  app = await serve({ demo: true })
  const { learners } = (await (await fetch(`${app.url}/api/classroom`)).json()) as { learners: { id: string }[] }
  ;[learner, other] = learners.map((l) => l.id) as [string, string]
})
afterAll(() => app.stop())

const told = tellStory({
  problem: '15 - 8',
  cell: cellById('compare/lesser/more')!,
  scene: SCENES[0]!,
  seed: 3,
})
const plan: ToldPlan = {
  cell: 'compare/lesser/more',
  amounts: told.roles,
  scene: told.scene,
  people: told.people,
  seed: 3,
  length: 'plain',
  extra: false,
}
const work = (entries: readonly (readonly [StoryWork['entries'][number]['stage'], string])[]): StoryWork => ({
  format: 'sett-story',
  version: 1,
  story: plan,
  text: workable(plan).sentences.join(' '),
  mode: 'alone',
  entries: entries.map(([stage, given], i) => ({ at: (i + 1) * 4000, stage, given })),
})
const story = (over: object = {}) => ({
  id: randomUUID(),
  learnerId: learner,
  startedAt: '2026-11-26T09:30:00.000Z',
  kind: 'story',
  help: 'independent',
  right: false,
  note: '',
  work: work([
    ['material', 'counters'],
    ['answer', '23 lanterns'],
  ]),
  ...over,
})
const post = (...trials: object[]) => call('POST', '/api/trials', { trials })
const list = async (query = ''): Promise<RecordPage> =>
  (await call('GET', `/api/records?limit=200${query}`)).body as unknown as RecordPage

test('a worked story is judged by the server, kept once, and stands in the Daybook in its place of time', async () => {
  const sent = story()
  expect(await post(sent)).toEqual({ status: 200, body: { kept: [sent.id] } })
  expect((await post(sent)).status).toBe(200)
  const page = await list()
  const [row, ...more] = page.records.filter((r) => r.id === sent.id)
  expect(more).toEqual([])
  expect(row).toMatchObject({
    kind: 'story',
    problem: '15 - 8',
    material: 'counters',
    mode: 'alone',
    right: false,
    durationMs: 8000,
    slips: ['chose by a key word'],
  })
  const times = page.records.map((r) => r.startedAt)
  expect(times).toEqual([...times].sort().reverse())
  expect(page.known.slips).toContain('chose by a key word')
  expect((await list('&slip=chose%20by%20a%20key%20word')).records.map((r) => r.id)).toContain(sent.id)
  expect((await list(`&learner=${other}&slip=chose%20by%20a%20key%20word`)).records).toEqual([])
  expect((await list('&material=counters&problem=15%20-%208')).records.map((r) => r.id)).toContain(sent.id)
  expect((await call('GET', `/api/trials/${sent.id}`)).body).toEqual(sent)
})

test('a newer state takes the place of an older one; anything else under its id is refused', async () => {
  const sent = story()
  await post(sent)
  const later = { ...sent, right: true, work: work([['answer', '7 lanterns']]) }
  expect((await post(later)).status).toBe(200)
  expect((await list()).records.find((r) => r.id === sent.id)).toMatchObject({ right: true, slips: [] })
  const moved = await post({ ...sent, learnerId: other })
  expect([moved.status, moved.body.detail]).toEqual([
    409,
    'Something else is kept under this identifier; it stays as it is.',
  ])
})

test.each<[string, object, number, RegExp, string]>([
  ['a learner nobody knows', { learnerId: randomUUID() }, 422, /no such learner/, '/trials/0/learnerId'],
  [
    'a kind nobody knows',
    { work: { ...work([]), story: { ...plan, cell: 'nothing' } } },
    422,
    /./,
    '/trials/0/work/story',
  ],
  [
    'amounts that cannot be',
    { work: { ...work([]), story: { ...plan, amounts: { greater: '8', difference: '15', lesser: '-7' } } } },
    422,
    /something of everything/,
    '/trials/0/work/story',
  ],
  ['a number that is none', { work: { ...work([]), story: { ...plan, amounts: { greater: '1/0' } } } }, 422, /./, ''],
  [
    'an answer that cannot be read',
    { work: work([['answer', 'many']]) },
    422,
    /Write a number/,
    '/trials/0/work/entries',
  ],
  ['one field too many', { extra: 1 }, 422, /extra/, ''],
])('%s is refused with a sentence, and nothing of the list is kept', async (_, over, status, detail, pointer) => {
  const before = (await list()).records.length
  const good = story()
  const got = await post(story(over), good)
  expect(got.status).toBe(status)
  const errors = (got.body.errors ?? []) as { pointer: string; detail: string }[]
  expect(`${String(got.body.detail)} ${errors.map((e) => `${e.pointer} ${e.detail}`).join(' ')}`).toMatch(detail)
  if (pointer) expect(errors.some((e) => e.pointer.startsWith(pointer))).toBe(true)
  expect((await list()).records).toHaveLength(before)
})

test('a file of them is read back as it was written, whole or not at all', async () => {
  await post(story())
  const file = (await call('GET', `/api/trials/file?learner=${learner}`)).body as unknown as {
    trials: (Trial & { learner: string })[]
  }
  expect(file.trials.length).toBeGreaterThan(0)
  const again = await call('POST', '/api/trials/file', file)
  expect(again.body).toEqual({ added: 0, already: file.trials.length, learners: 0 })
  const fresh = { ...file, trials: file.trials.map((t) => ({ ...t, id: randomUUID(), learner: 'Newt' })) }
  expect((await call('POST', '/api/trials/file', fresh)).body).toEqual({
    added: fresh.trials.length,
    already: 0,
    learners: 1,
  })
  const bad = { ...fresh, trials: [...fresh.trials.map((t) => ({ ...t, id: randomUUID() })), { nothing: 1 }] }
  const count = (await list()).records.length
  const refused = await call('POST', '/api/trials/file', bad)
  expect(refused.status).toBe(422)
  expect((refused.body.errors as { pointer: string }[])[0]!.pointer).toMatch(
    new RegExp(`^/trials/${fresh.trials.length}`),
  )
  expect((await list()).records).toHaveLength(count)
})

test('deleting takes it away and sending it again brings it back; erasing its learner takes it for good', async () => {
  const sent = story()
  await post(sent)
  expect((await call('DELETE', `/api/trials/${sent.id}`)).status).toBe(204)
  expect((await call('GET', `/api/trials/${sent.id}`)).status).toBe(404)
  expect((await call('DELETE', `/api/trials/${sent.id}`)).status).toBe(404)
  expect((await post(sent)).status).toBe(200)
  const one = (await call('POST', '/api/learners', { id: randomUUID(), codeName: 'Vole' })).body as { id: string }
  const theirs = story({ learnerId: one.id, note: 'was tired' })
  await post(theirs)
  const everything = (await call('GET', `/api/learners/${one.id}`)).body as { trials: unknown[] }
  expect(everything.trials).toHaveLength(1)
  const receipt = (await call('DELETE', `/api/learners/${one.id}`)).body
  expect(receipt).toMatchObject({ trials: 1, notes: 1 })
  expect((await call('GET', `/api/trials/${theirs.id}`)).status).toBe(404)
  expect((await post(theirs)).status).toBe(410)
  expect((await post({ ...theirs, learnerId: learner })).status).toBe(410)
})

test('scenes of a class are kept by their version, and read only where they are whole', async () => {
  const { body: first } = await call('GET', '/api/scenes')
  expect(first).toEqual({ scenes: [], people: [], version: 0 })
  const own = {
    scenes: [{ ...SCENES[0]!, id: 'own-bells', title: 'Bells' }],
    people: [{ name: 'Owl', pronoun: 'they' }],
    version: 0,
  }
  const kept = await call('PUT', '/api/scenes', own)
  expect(kept.body).toEqual({ ...own, version: 1 })
  // The same change sent again because its answer was lost is no conflict; another from an old version is.
  expect((await call('PUT', '/api/scenes', own)).status).toBe(200)
  expect((await call('PUT', '/api/scenes', { ...own, people: [] })).status).toBe(409)
  for (const bad of [
    { ...own, version: 1, scenes: [{ ...own.scenes[0]!, where: 'on the line. Then' }] },
    { ...own, version: 1, scenes: [own.scenes[0]!, own.scenes[0]!] },
    { ...own, version: 1, people: [{ name: '7' }] },
  ])
    expect((await call('PUT', '/api/scenes', bad)).status).toBe(422)
  expect((await call('GET', '/api/scenes')).body).toEqual({ ...own, version: 1 })
})

describe('what is noted at the table, and what comes of it', () => {
  const day = (n: number): string => new Date(Date.UTC(2026, 9, n, 9)).toISOString()
  const tryOf = (right: boolean, at: string, over: object = {}) => ({
    ...story({ kind: 'table', startedAt: at, right }),
    work: {
      format: 'sett-trial',
      version: 1,
      sitting: randomUUID(),
      step: 'take-2-2-ten',
      asked: '52 − 37',
      material: 'blocks',
      ms: 12_000,
      ...over,
    },
  })
  const progress = async (id: string, step = ''): Promise<Progress> =>
    (await call('GET', `/api/progress?learner=${id}${step && `&step=${step}`}`)).body as unknown as Progress

  test('tries come many at once, each once, and are counted by day', async () => {
    const one = (await call('POST', '/api/learners', { id: randomUUID(), codeName: 'Shrew' })).body as { id: string }
    const tries = Array.from({ length: 40 }, (_, i) => ({ ...tryOf(i % 4 > 0, day(1 + (i % 2))), learnerId: one.id }))
    const note = {
      ...story({ kind: 'note', learnerId: one.id, startedAt: day(2), note: 'left the table twice' }),
      work: {
        format: 'sett-note',
        version: 1,
        sitting: randomUUID(),
        ms: 600_000,
        tallies: [{ name: 'left', count: 2 }],
      },
    }
    for (let again = 0; again < 2; again++) expect((await post(...tries, note)).status).toBe(200)
    const { tried, steps } = await progress(one.id)
    expect(steps).toEqual(['take-2-2-ten'])
    expect(tried.reduce((n, t) => n + t.count, 0)).toBe(40)
    expect(tried.filter((t) => t.right).reduce((n, t) => n + t.count, 0)).toBe(30)
    expect([...new Set(tried.map((t) => t.day))]).toEqual(['2026-10-01', '2026-10-02'])
    expect((await progress(one.id, 'add-2-1')).tried).toEqual([])
    // What was worked at the Bench counts for its step too.
    const wren = await progress(learner, 'take-2-2-ten')
    expect(wren.tried.length).toBeGreaterThan(0)
    expect((await progress(learner)).steps.length).toBeGreaterThan(1)
    const row = (await list(`&learner=${one.id}`)).records.find((r) => r.kind === 'table')
    expect(row).toMatchObject({ problem: '52 - 37', material: 'blocks', mode: 'alone', durationMs: 12_000 })
  })

  test('too many at once, and fields that are none, are refused with a sentence', async () => {
    expect((await post(...Array.from({ length: 101 }, () => tryOf(true, day(3))))).status).toBe(422)
    expect((await post(tryOf(true, day(3), { material: 'clay' }))).status).toBe(422)
    expect((await post(tryOf(true, day(3), { asked: 'x'.repeat(201) }))).status).toBe(422)
    expect((await call('GET', '/api/progress?learner=nobody')).status).toBe(422)
  })

  test('a goal is kept by its version and goes; decisions stay; both go with their learner', async () => {
    const one = (await call('POST', '/api/learners', { id: randomUUID(), codeName: 'Stoat' })).body as { id: string }
    const goal = {
      id: randomUUID(),
      learnerId: one.id,
      step: 'take-2-2-ten',
      material: '',
      help: 'independent',
      share: 0.8,
      set: '2026-10-01',
      by: '2026-11-01',
      words: '',
      archived: false,
      version: 0,
    }
    expect((await call('PUT', `/api/goals/${goal.id}`, goal)).body).toEqual({ ...goal, version: 1 })
    expect((await call('PUT', `/api/goals/${goal.id}`, goal)).status).toBe(200)
    expect((await call('PUT', `/api/goals/${goal.id}`, { ...goal, share: 0.9 })).status).toBe(409)
    expect((await call('PUT', `/api/goals/${goal.id}`, { ...goal, by: '2026-09-01', version: 1 })).status).toBe(422)
    expect((await call('PUT', `/api/goals/${randomUUID()}`, goal)).status).toBe(422)
    const decision = {
      id: randomUUID(),
      learnerId: one.id,
      madeAt: day(4),
      kind: 'move-on',
      step: 'take-2-2-ten',
      answer: 'later',
      word: 'after the walk',
      figures: '8 of 10',
    }
    for (let again = 0; again < 2; again++) expect((await call('POST', '/api/decisions', decision)).status).toBe(200)
    expect(await progress(one.id)).toMatchObject({ goals: [{ ...goal, version: 1 }], decisions: [decision] })
    const file = (await call('GET', `/api/learners/${one.id}`)).body as { goals: unknown[]; decisions: unknown[] }
    expect([file.goals.length, file.decisions.length]).toEqual([1, 1])
    expect((await call('DELETE', `/api/goals/${goal.id}`)).status).toBe(204)
    expect((await progress(one.id)).goals).toEqual([])
    await call('PUT', `/api/goals/${goal.id}`, goal)
    expect((await call('DELETE', `/api/learners/${one.id}`)).status).toBe(200)
    expect((await progress(one.id)).goals).toEqual([])
  })
})
