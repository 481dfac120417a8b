import { randomUUID } from 'node:crypto'
import { NO_CHOICES, type Glance, type KeptLearner, type RosterTaken } from '../../shared/learners'
import type { RecordPage } from '../../shared/listing'
import { serve, type Running } from '../browser/world'

let app: Running
beforeAll(async () => (app = await serve({ demo: true })))
afterAll(() => app.stop())

async function call<T>(method: string, path: string, body?: unknown): Promise<{ status: number; body: T }> {
  const response = await fetch(app.url + path, {
    method,
    ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
  })
  const text = await response.text()
  return { status: response.status, body: (text ? JSON.parse(text) : null) as T }
}
const everyone = async (): Promise<KeptLearner[]> =>
  (await call<{ learners: KeptLearner[] }>('GET', '/api/classroom')).body.learners
const named = async (name: string): Promise<KeptLearner> => (await everyone()).find((l) => l.codeName === name)!
type Refused = { detail: string }

test('what suits a learner is kept, changed from the version that was read, and told whole in the learner’s file', async () => {
  const wren = await named('Wren')
  expect(wren).toMatchObject({ groups: [], archived: false, choices: NO_CHOICES, version: 0 })
  const changed = {
    ...wren,
    groups: ['Red table'],
    choices: { ...wren.choices, avoid: ['abacus'], avoidWhy: 'the beads click', letters: 2 },
  }
  const kept = await call<KeptLearner>('PUT', `/api/learners/${wren.id}`, changed)
  expect([kept.status, kept.body.version]).toEqual([200, 1])
  expect(await named('Wren')).toEqual({ ...changed, version: 1 })
  // The same again, because the answer was lost; then another change from the old version.
  expect((await call('PUT', `/api/learners/${wren.id}`, changed)).status).toBe(200)
  expect(await call<Refused>('PUT', `/api/learners/${wren.id}`, { ...changed, archived: true })).toMatchObject({
    status: 409,
    body: { detail: 'Somebody has changed Wren since. Load the page again.' },
  })
  const file = await call('GET', `/api/learners/${wren.id}`)
  expect(file.body).toMatchObject({ groups: ['Red table'], choices: { avoid: ['abacus'] } })
})

test('a bad change is refused in words: a name that is taken, another address, a choice that is none', async () => {
  const pip = await named('Pip')
  expect(await call('PUT', `/api/learners/${pip.id}`, { ...pip, codeName: 'WREN' })).toMatchObject({
    status: 409,
    body: { detail: 'There is a learner called Wren already.' },
  })
  expect((await call('PUT', `/api/learners/${randomUUID()}`, pip)).status).toBe(422)
  const unknown = randomUUID()
  expect((await call('PUT', `/api/learners/${unknown}`, { ...pip, id: unknown, codeName: 'Nobody' })).status).toBe(404)
  const odd = { ...pip, choices: { ...pip.choices, letters: 9 } }
  expect(await call('PUT', `/api/learners/${pip.id}`, odd)).toMatchObject({
    status: 422,
    body: { errors: [{ pointer: '/choices/letters', detail: 'Letters have three sizes.' }] },
  })
  expect(await named('Pip')).toEqual(pip)
})

test('a school’s list comes in under code names, twice the same is once; who has left is put away and comes back', async () => {
  const before = (await everyone()).length
  const classes = ['The Loft', 'Reading']
  const list = {
    classes,
    learners: [
      { rosterId: 'u1', groups: ['The Loft', 'Reading'], gone: false },
      { rosterId: 'u2', groups: ['The Loft'], gone: false },
      { rosterId: 'u3', groups: [], gone: true },
    ],
  }
  const first = await call<RosterTaken>('POST', '/api/roster', list)
  expect(first.body).toMatchObject({ added: 2, changed: 0, putAway: 0 })
  const names = first.body.names.map((n) => n.codeName)
  expect(new Set(names).size).toBe(2)
  expect((await everyone()).length).toBe(before + 2)
  expect((await named(names[0]!)).groups).toEqual(['The Loft', 'Reading'])
  expect((await call<RosterTaken>('POST', '/api/roster', list)).body).toEqual({
    ...first.body,
    added: 0,
    changed: 0,
  })
  // A group that a teacher has made stays when the list comes again.
  const second = await named(names[1]!)
  await call('PUT', `/api/learners/${second.id}`, { ...second, groups: ['The Loft', 'Red table'] })
  expect((await call<RosterTaken>('POST', '/api/roster', list)).body).toMatchObject({ changed: 0 })
  expect((await named(names[1]!)).groups).toEqual(['The Loft', 'Red table'])
  const gone = { classes, learners: [{ rosterId: 'u2', groups: [], gone: true }] }
  expect((await call<RosterTaken>('POST', '/api/roster', gone)).body).toMatchObject({ putAway: 1, added: 0 })
  expect(await named(names[1]!)).toMatchObject({ archived: true, groups: ['The Loft', 'Red table'] })
  const back = { classes, learners: [{ rosterId: 'u2', groups: ['Reading'], gone: false }] }
  expect((await call<RosterTaken>('POST', '/api/roster', back)).body).toMatchObject({ changed: 1 })
  expect(await named(names[1]!)).toMatchObject({ archived: false, groups: ['Reading', 'Red table'] })
})

test('a list with a name that is taken is not taken at all', async () => {
  const before = await everyone()
  const list = {
    classes: [],
    learners: [
      { rosterId: 'v1', name: 'Robin', groups: [], gone: false },
      { rosterId: 'v2', name: 'wren', groups: [], gone: false },
    ],
  }
  const refused = await call<Refused>('POST', '/api/roster', list)
  expect([refused.status, refused.body.detail]).toEqual([
    409,
    'There is a learner called wren already. Take the list in with code names, or rename one of them.',
  ])
  expect(await everyone()).toEqual(before)
  const twice = { classes: [], learners: [list.learners[0], list.learners[0]] }
  expect((await call('POST', '/api/roster', twice)).status).toBe(422)
})

test('a group at a glance: sessions, days seen and what follows, of those who are in it and not put away', async () => {
  const ash = await named('Ash')
  const day = (ago: number): string => new Date(Date.now() - ago * 86_400_000).toISOString()
  const trial = (ago: number, right: boolean, step = 'take-2-2-ten') => ({
    id: randomUUID(),
    learnerId: ash.id,
    startedAt: day(ago),
    kind: 'table',
    help: right ? 'independent' : 'shown',
    right,
    note: '',
    work: {
      format: 'sett-trial',
      version: 1,
      sitting: randomUUID(),
      step,
      asked: '52 - 37',
      material: 'columns',
      ms: 0,
    },
  })
  // An easier step on the same days, with nothing right: what was tried last is told by itself.
  const easier = [2, 1, 0].map((ago) => trial(ago + 0.01, false, 'add-to-10'))
  const trials = [...easier, ...[2, 1, 0].flatMap((ago) => [0, 1, 2, 3, 4].map((k) => trial(ago, k < 4)))]
  expect((await call('POST', '/api/trials', { trials })).status).toBe(200)
  await call('PUT', `/api/learners/${ash.id}`, { ...ash, groups: ['Blue table'] })
  const { body } = await call<Glance>('GET', `/api/glance?group=${encodeURIComponent('Blue table')}`)
  expect(body.next).toBe(null)
  expect(body.learners.map((l) => l.learnerId)).toEqual([ash.id])
  const [glanced] = body.learners
  expect(glanced!.last!.step).toBe('take-2-2-ten')
  expect(glanced!.sessions.slice(-3).map((s) => [s.alone, s.tried])).toEqual([
    [4, 5],
    [4, 5],
    [4, 5],
  ])
  expect(glanced!.suggests).toContain('move-on')
  // A goal of that step with another material: nothing counts for it yet.
  const goal = {
    id: randomUUID(),
    learnerId: ash.id,
    step: 'take-2-2-ten',
    share: 1,
    set: day(7).slice(0, 10),
    by: day(-30).slice(0, 10),
    words: '',
    material: 'blocks',
    help: 'independent',
    archived: false,
    version: 0,
  }
  expect((await call('PUT', `/api/goals/${goal.id}`, goal)).status).toBe(200)
  const [again] = (await call<Glance>('GET', '/api/glance?group=Blue%20table')).body.learners
  expect([again!.goals, again!.sessions, again!.suggests]).toEqual([1, [], []])
  expect(glanced!.seen).toEqual(expect.arrayContaining([2, 1, 0].map((ago) => day(ago).slice(0, 10))))
  const now = await named('Ash')
  await call('PUT', `/api/learners/${ash.id}`, { ...now, archived: true })
  expect((await call<Glance>('GET', '/api/glance?group=Blue%20table')).body.learners).toEqual([])
  await call('PUT', `/api/learners/${ash.id}`, { ...now, archived: false, version: now.version + 1 })
})

test('the Daybook is narrowed by step, way, help, how it came out, and group', async () => {
  const all = (await call<RecordPage>('GET', '/api/records?limit=200')).body.records
  const of = async (query: string) => (await call<RecordPage>('GET', `/api/records?limit=200&${query}`)).body.records
  const spoken = await of('help=spoken')
  expect(spoken.map((r) => r.id)).toEqual(all.filter((r) => r.help === 'spoken').map((r) => r.id))
  expect(spoken.length).toBeGreaterThan(0)
  const wrong = await of('came=not')
  expect(wrong.map((r) => r.id)).toEqual(all.filter((r) => !r.right).map((r) => r.id))
  const way = await of('way=ones-first')
  expect(way.length).toBeGreaterThan(0)
  for (const r of way) {
    const { work } = (await call<{ work: { way: string } }>('GET', `/api/records/${r.id}`)).body
    expect(work.way).toBe('ones-first')
  }
  expect((await of('way=ones-first')).length).toBeLessThan(all.length)
  const ash = await named('Ash')
  expect(new Set((await of('group=Blue%20table')).map((r) => r.learnerId))).toEqual(new Set([ash.id]))
  const step = await of('step=take-2-2-ten')
  expect(step.length).toBeGreaterThan(14)
  expect(step.every((r) => /^\d\d - \d\d$/.test(r.problem))).toBe(true)
  // By pages, each once.
  const paged: string[] = []
  for (let before = ''; ;) {
    const page = (await call<RecordPage>('GET', `/api/records?step=take-2-2-ten&limit=4${before}`)).body
    paged.push(...page.records.map((r) => r.id))
    if (page.next === null) break
    before = `&before=${page.next}`
  }
  expect(paged).toEqual(step.map((r) => r.id))
  expect((await call('GET', '/api/records?came=perhaps')).status).toBe(422)
})

test('moments are chosen with a word, changed, let go, and go with their record', async () => {
  const [record] = (await call<RecordPage>('GET', '/api/records?limit=200')).body.records.filter(
    (r) => r.kind === 'bench',
  )
  const at = `/api/moments/${record!.id}`
  const of = async () => (await call<unknown[]>('GET', `/api/moments?learner=${record!.learnerId}`)).body
  expect((await call('PUT', at, { word: 'on her own' })).status).toBe(200)
  expect((await call('PUT', at, { word: 'by herself' })).status).toBe(200)
  expect(await of()).toEqual([{ record: record!.id, word: 'by herself' }])
  expect((await call('PUT', `/api/moments/${randomUUID()}`, { word: '' })).status).toBe(404)
  expect((await call('DELETE', at)).status).toBe(204)
  expect(await of()).toEqual([])
  await call('PUT', at, { word: '' })
  await call('DELETE', `/api/records/${record!.id}`)
  expect(await of()).toEqual([])
})

test('searches are kept for the room, and not over each other', async () => {
  const one = { searches: [{ name: 'Wren with help', find: { help: 'spoken' } }], version: 0 }
  expect((await call('PUT', '/api/searches', one)).body).toEqual({ ...one, version: 1 })
  expect((await call('PUT', '/api/searches', { searches: [], version: 0 })).status).toBe(409)
  expect((await call('GET', '/api/searches')).body).toEqual({ ...one, version: 1 })
  const twice = { searches: [one.searches[0], one.searches[0]], version: 1 }
  expect((await call('PUT', '/api/searches', twice)).status).toBe(422)
})

test('answers on marked pages and of rehearsing are told in progress, each as what it is', async () => {
  const fen = await named('Fen')
  const marking = {
    id: randomUUID(),
    learnerId: fen.id,
    markedAt: new Date().toISOString(),
    with: 'paper',
    items: [
      { problem: '52 - 37', answer: '15' },
      { problem: '64 - 28', answer: '44' },
    ],
  }
  expect((await call('POST', '/api/markings', marking)).status).toBe(200)
  const answer = {
    id: randomUUID(),
    learnerId: fen.id,
    at: Date.now(),
    item: 'fact 3*4',
    given: '12',
    ms: 3000,
  }
  const kept = await call('POST', '/api/rehearsals', answer)
  expect([kept.status, kept.body]).toEqual([200, expect.anything()])
  type Of = { tried: { right: boolean; count: number; material: string }[]; places: string[]; seen: string[] }
  const of = async (query = '') => (await call<Of>('GET', `/api/progress?learner=${fen.id}${query}`)).body
  expect((await of()).places).toEqual(expect.arrayContaining(['bench', 'marking', 'rehearsing']))
  expect((await of('&at=marking')).tried.map((t) => [t.right, t.count, t.material])).toEqual(
    expect.arrayContaining([
      [true, 1, 'columns'],
      [false, 1, 'columns'],
    ]),
  )
  expect((await of('&at=rehearsing')).tried.map((t) => [t.right, t.count])).toEqual([[true, 1]])
  const all = (await of()).tried.reduce((n, t) => n + t.count, 0)
  const bench = (await of('&at=bench')).tried.reduce((n, t) => n + t.count, 0)
  const stories = (await of('&at=stories')).tried.reduce((n, t) => n + t.count, 0)
  expect(all).toBe(bench + stories + 2)
  // A page that is withdrawn says nothing.
  await call('PUT', `/api/markings/${marking.id}`, { withdrawn: 'copied' })
  expect((await of('&at=marking')).tried).toEqual([])
})
