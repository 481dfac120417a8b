import { randomUUID } from 'node:crypto'
import { serve, type Running } from '../browser/world'
import { addressesInFiles } from './addresses'
import { ask, firstKeeper, joined, type Got } from './asking'

/**
 * Two teams in one school: Reed and Lantern. Each has a teacher and a helper; one learner is in neither group. Whatever is kept of a learner,
 * whoever does not reach them sees nothing of it, can change nothing of it, and is not told that it is there.
 */
const TEAMS = ['Reed', 'Lantern'] as const
type Team = (typeof TEAMS)[number] | 'nobody'
interface Theirs {
  readonly learner: string
  readonly name: string
  readonly ids: Record<'record' | 'trial' | 'goal' | 'decision' | 'marking' | 'lesson' | 'recording' | 'answer', string>
  /** A word that stands in a note of theirs, and nowhere else. */
  readonly secret: string
}

let app: Running
let keeper = ''
const theirs = {} as Record<Team, Theirs>
const people: { readonly who: string; readonly team: Team; readonly cookie: string }[] = []

const as = (cookie: string, method: string, path: string, body?: unknown): Promise<Got> =>
  ask(app.url, method, path, { cookie }, body)
async function made(method: string, path: string, body?: unknown): Promise<string> {
  const { status, text } = await as(keeper, method, path, body)
  if (status >= 300) throw new Error(`${method} ${path}: ${status} ${text}`)
  return text
}

const WAV = Buffer.concat([Buffer.from('RIFF----WAVEfmt '), Buffer.alloc(64)]).toString('base64')

/** A learner of a team with something of every kind that is kept. */
async function learnerOf(team: Team, name: string, sample: Record<string, unknown>): Promise<Theirs> {
  const id = (): string => randomUUID()
  const ids = {
    record: id(),
    trial: id(),
    goal: id(),
    decision: id(),
    marking: id(),
    lesson: id(),
    recording: id(),
    answer: id(),
  }
  const learner = id()
  const secret = `only-${name.toLowerCase()}`
  await made('POST', '/api/learners', { id: learner, codeName: name })
  const room = JSON.parse(await made('GET', '/api/classroom')) as { learners: { id: string }[] }
  const kept = room.learners.find((l) => l.id === learner)!
  await made('PUT', `/api/learners/${learner}`, { ...kept, groups: team === 'nobody' ? [] : [team] })
  const outcome = { right: true, help: 'independent', note: secret }
  await made('POST', '/api/records', { ...sample, id: ids.record, learnerId: learner, outcome })
  await made('PUT', `/api/moments/${ids.record}`, { word: secret })
  const work = { format: 'sett-trial', version: 1, sitting: id(), step: '', asked: secret, material: '', ms: 0 }
  const startedAt = '2026-11-24T09:00:00.000Z'
  const trial = {
    id: ids.trial,
    learnerId: learner,
    startedAt,
    kind: 'table',
    help: 'shown',
    right: true,
    note: secret,
  }
  await made('POST', '/api/trials', { trials: [{ ...trial, work }] })
  await made('PUT', `/api/goals/${ids.goal}`, {
    id: ids.goal,
    learnerId: learner,
    step: '',
    share: 0.8,
    set: '2026-11-01',
    by: '2026-12-01',
    words: secret,
    archived: false,
    version: 0,
  })
  await made('POST', '/api/decisions', {
    id: ids.decision,
    learnerId: learner,
    madeAt: startedAt,
    kind: 'move-on',
    step: '',
    answer: 'accepted',
    word: secret,
    figures: '',
  })
  await made('POST', '/api/markings', {
    id: ids.marking,
    learnerId: learner,
    markedAt: startedAt,
    with: 'paper',
    items: [{ problem: '52 - 37', answer: '25' }],
  })
  await made('POST', '/api/rehearsals', {
    id: ids.answer,
    learnerId: learner,
    at: 1_790_000_000_000,
    item: 'read 407',
    given: '407',
    ms: 900,
  })
  const turn = { learner, step: 'take-2-2-ten', problem: '52 - 37', material: 'blocks', way: null, mode: 'alone' }
  await made('PUT', `/api/lessons/${ids.lesson}`, {
    id: ids.lesson,
    day: '2026-11-24',
    at: '09:30',
    minutes: 10,
    learners: [learner],
    turns: [turn],
    words: '',
    notes: { [learner]: secret },
    version: 0,
  })
  await made('PUT', `/api/learners/${learner}/recordings`, { id: ids.recording, said: secret, audio: WAV })
  return { learner, name, ids, secret }
}

beforeAll(async () => {
  app = await serve({ demo: true })
  keeper = await firstKeeper(app.url)
  const listed = JSON.parse(await made('GET', '/api/records')) as { records: { id: string; kind: string }[] }
  const sample = JSON.parse(
    await made('GET', `/api/records/${listed.records.find((r) => r.kind === 'bench')!.id}`),
  ) as Record<string, unknown>
  theirs.Reed = await learnerOf('Reed', 'Sedgewarbler', sample)
  theirs.Lantern = await learnerOf('Lantern', 'Candlelark', sample)
  theirs.nobody = await learnerOf('nobody', 'Loosestrife', sample)
  for (const team of TEAMS)
    for (const role of ['teacher', 'helper', 'looker-on'] as const) {
      const who = `${team} ${role}`
      people.push({ who, team, cookie: await joined(app.url, keeper, { name: who, role, groups: [team] }) })
    }
}, 120_000)
afterAll(() => app.stop())

/** Every address that touches learners, as it is asked about one of them. */
const READS = (t: Theirs): readonly string[] => [
  `/api/learners/${t.learner}`,
  `/api/learners/${t.learner}/recordings`,
  `/api/recordings/${t.ids.recording}`,
  '/api/classroom',
  '/api/glance',
  '/api/glance?group=Reed',
  '/api/glance?group=Lantern',
  `/api/moments?learner=${t.learner}`,
  '/api/searches',
  '/api/records',
  `/api/records?learner=${t.learner}`,
  '/api/records?group=Reed',
  '/api/records?group=Lantern',
  `/api/records/${t.ids.record}`,
  '/api/records/file',
  `/api/records/file?learner=${t.learner}`,
  `/api/records/file?record=${t.ids.record}`,
  `/api/trials/${t.ids.trial}`,
  '/api/trials/file',
  `/api/trials/file?learner=${t.learner}`,
  '/api/tried/file',
  '/api/tried/file?as=xapi',
  `/api/tried/file?learner=${t.learner}`,
  `/api/progress?learner=${t.learner}`,
  `/api/rehearsals?of=${t.learner}`,
  `/api/rehearsals/file?of=${t.learner}`,
  `/api/markings?learner=${t.learner}`,
  `/api/markings/worked?learner=${t.learner}`,
  `/api/standings?learners=${t.learner}`,
  '/api/lessons?from=2026-11-24&to=2026-11-24',
  `/api/lessons/${t.ids.lesson}`,
]

test('the addresses that are tried here are all that read what is learners’', async () => {
  const tried = new Set(READS(theirs.Reed).map((path) => path.split('?')[0]!.replace(/[0-9a-f-]{36}/, ':id')))
  const all = (await addressesInFiles()).filter((a) => a.method === 'GET' && a.rights!.whose === 'learners')
  expect(all.map((a) => a.pattern).sort()).toEqual([...tried].sort())
})

test('nobody reads anything of a learner whom they do not reach, at any address', async () => {
  for (const { who, team, cookie } of people)
    for (const other of [...TEAMS, 'nobody' as const].filter((t) => t !== team)) {
      const { learner, name, secret, ids } = theirs[other]
      for (const path of READS(theirs[other])) {
        const { status, text } = await as(cookie, 'GET', path)
        expect([who, path, [200, 403, 404].includes(status)]).toEqual([who, path, true])
        for (const word of [learner, name, secret, ...Object.values(ids)])
          expect([who, path, text.includes(word)]).toEqual([who, path, false])
      }
    }
})

test('everybody reads what is of their own team', async () => {
  for (const { who, team, cookie } of people) {
    const own = theirs[team]
    for (const path of READS(own)) {
      const { status } = await as(cookie, 'GET', path)
      const isTeachers = /\/file|^\/api\/learners\/[^/]+$/.test(path)
      const least = isTeachers && !who.endsWith('teacher') ? 403 : 200
      expect([who, path, status]).toEqual([who, path, least])
    }
    const room = await as(cookie, 'GET', '/api/classroom')
    expect((JSON.parse(room.text) as { learners: { codeName: string }[] }).learners.map((l) => l.codeName)).toEqual([
      own.name,
    ])
    const listed = JSON.parse((await as(cookie, 'GET', '/api/records?limit=200')).text) as {
      records: { learnerId: string }[]
    }
    expect([...new Set(listed.records.map((r) => r.learnerId))]).toEqual([own.learner])
  }
})

test('nobody changes anything of a learner whom they do not reach', async () => {
  const room = JSON.parse(await made('GET', '/api/classroom')) as { learners: { id: string }[] }
  const before = await made('GET', `/api/learners/${theirs.Lantern.learner}`).then((text) =>
    text.replace(/"writtenAt":"[^"]+"/, ''),
  )
  const t = theirs.Lantern
  const kept = room.learners.find((l) => l.id === t.learner)!
  const read = async (path: string): Promise<Record<string, unknown>> =>
    JSON.parse(await made('GET', path)) as Record<string, unknown>
  const record = await read(`/api/records/${t.ids.record}`)
  const trial = await read(`/api/trials/${t.ids.trial}`)
  const lesson = await read(`/api/lessons/${t.ids.lesson}`)
  const file = await read(`/api/records/file?learner=${t.learner}`)
  const trialFile = await read(`/api/trials/file?learner=${t.learner}`)
  const answerFile = await read(`/api/rehearsals/file?of=${t.learner}`)
  const fresh = { ...(file.records as Record<string, unknown>[])[0], id: randomUUID() }
  const goal = {
    id: t.ids.goal,
    learnerId: t.learner,
    step: '',
    share: 0.9,
    set: '2026-11-01',
    by: '2026-12-01',
    words: '',
    archived: true,
    version: 1,
  }
  const writes: readonly (readonly [string, string, unknown?])[] = [
    ['PUT', `/api/learners/${t.learner}`, { ...kept, codeName: 'Taken over' }],
    ['POST', '/api/learners', { id: t.learner, codeName: 'Taken over' }],
    ['DELETE', `/api/learners/${t.learner}`],
    ['PUT', `/api/learners/${t.learner}/recordings`, { id: randomUUID(), said: 'ours', audio: WAV }],
    ['DELETE', `/api/recordings/${t.ids.recording}`],
    ['PUT', `/api/moments/${t.ids.record}`, { word: 'ours' }],
    ['DELETE', `/api/moments/${t.ids.record}`],
    ['POST', '/api/records', { ...record, id: randomUUID() }],
    ['DELETE', `/api/records/${t.ids.record}`],
    ['POST', '/api/records/file', { ...file, records: [fresh] }],
    ['POST', '/api/trials', { trials: [{ ...trial, id: randomUUID() }] }],
    ['DELETE', `/api/trials/${t.ids.trial}`],
    ['POST', '/api/trials/file', trialFile],
    ['PUT', `/api/goals/${t.ids.goal}`, goal],
    ['DELETE', `/api/goals/${t.ids.goal}`],
    [
      'POST',
      '/api/decisions',
      {
        id: randomUUID(),
        learnerId: t.learner,
        madeAt: '2026-11-24T09:00:00.000Z',
        kind: 'move-on',
        step: '',
        answer: 'refused',
        word: '',
        figures: '',
      },
    ],
    [
      'POST',
      '/api/rehearsals',
      { id: randomUUID(), learnerId: t.learner, at: 1_790_000_000_000, item: 'read 407', given: '7', ms: 9 },
    ],
    ['DELETE', `/api/rehearsals?of=${t.learner}`],
    ['POST', '/api/rehearsals/file', answerFile],
    [
      'POST',
      '/api/markings',
      {
        id: randomUUID(),
        learnerId: t.learner,
        markedAt: '2026-11-24T09:00:00.000Z',
        with: 'paper',
        items: [{ problem: '52 - 37', answer: '25' }],
      },
    ],
    ['PUT', `/api/markings/${t.ids.marking}`, { withdrawn: 'ours' }],
    ['PUT', `/api/lessons/${t.ids.lesson}`, { ...lesson, words: 'ours' }],
    [
      'POST',
      `/api/lessons/${t.ids.lesson}/done`,
      { learner: t.learner, problem: '52 - 37', mode: 'alone', record: null },
    ],
    ['DELETE', `/api/lessons/${t.ids.lesson}/done?record=${t.ids.record}`],
    ['PUT', `/api/learners/${t.learner}/told`, { told: [{ step: 'add-5', knows: true }], placed: false }],
    ['DELETE', `/api/lessons/${t.ids.lesson}`],
    ['POST', '/api/roster', { classes: ['Lantern'], learners: [{ rosterId: 'x', groups: [], gone: true }] }],
  ]
  const tried = new Set(
    writes.map(([method, path]) => `${method} ${path.split('?')[0]!.replace(/[0-9a-f-]{36}/, ':id')}`),
  )
  const all = (await addressesInFiles()).filter(
    (a) => a.method !== 'GET' && ['learners', 'school'].includes(a.rights!.whose) && a.rights!.least !== 'keeper',
  )
  // A search is its maker's own, and is tried below.
  expect([...tried].filter((a) => a !== 'DELETE /api/learners/:id').sort()).toEqual(
    all
      .map((a) => `${a.method} ${a.pattern}`)
      .filter((a) => a !== 'PUT /api/searches')
      .sort(),
  )
  for (const { who, cookie } of people.filter((p) => p.team === 'Reed'))
    for (const [method, path, body] of writes) {
      const { status, text } = await as(cookie, method, path, body)
      expect([who, method, path, [403, 404, 422].includes(status)]).toEqual([who, method, path, true])
      expect([who, method, path, text.includes(t.secret)]).toEqual([who, method, path, false])
    }
  const after = await made('GET', `/api/learners/${t.learner}`).then((text) => text.replace(/"writtenAt":"[^"]+"/, ''))
  expect(after).toBe(before)
})

describe('groups', () => {
  const reed = (): string => people.find((p) => p.who === 'Reed teacher')!.cookie
  const change = async (cookie: string, id: string, groups: readonly string[]): Promise<Got> => {
    const room = JSON.parse(await made('GET', '/api/classroom')) as { learners: { id: string }[] }
    return as(cookie, 'PUT', `/api/learners/${id}`, { ...room.learners.find((l) => l.id === id), groups })
  }

  test('a teacher of a team makes names for some of their own, and leaves who reaches whom as it is', async () => {
    const { learner } = theirs.Reed
    expect((await change(reed(), learner, ['Reed', 'Tuesday'])).status).toBe(200)
    expect(await change(reed(), learner, ['Reed', 'Lantern'])).toMatchObject({ status: 403 })
    expect(await change(reed(), learner, ['Tuesday'])).toMatchObject({ status: 403 })
    expect((await change(keeper, learner, ['Reed', 'Lantern'])).status).toBe(200)
    // What the keeper has given to the other team is not taken away by this one.
    expect((await change(reed(), learner, ['Reed'])).status).toBe(403)
    expect((await change(keeper, learner, ['Reed'])).status).toBe(200)
  })

  test('whoever a teacher of a team adds is of that team, by hand and by a file', async () => {
    const id = randomUUID()
    expect((await as(reed(), 'POST', '/api/learners', { id, codeName: 'Bulrush' })).status).toBe(200)
    const file = JSON.parse(await made('GET', `/api/records/file?learner=${theirs.Reed.learner}`)) as {
      records: object[]
    }
    const brought = { ...file, records: [{ ...file.records[0], id: randomUUID(), learner: 'Marshmarigold' }] }
    const taken = await as(reed(), 'POST', '/api/records/file', brought)
    expect([taken.status, JSON.parse(taken.text)]).toEqual([200, { added: 1, already: 0, learners: 1 }])
    const room = JSON.parse((await as(reed(), 'GET', '/api/classroom')).text) as {
      learners: { codeName: string; groups: string[] }[]
    }
    expect(room.learners.map((l) => [l.codeName, l.groups])).toEqual(
      expect.arrayContaining([
        ['Bulrush', ['Reed']],
        ['Marshmarigold', ['Reed']],
      ]),
    )
    const lantern = people.find((p) => p.who === 'Lantern teacher')!.cookie
    expect((await as(lantern, 'GET', '/api/classroom')).text).not.toMatch(/Bulrush|Marshmarigold/)
  })

  test('searches are their maker’s own', async () => {
    const mine = { searches: [{ name: 'Sedgewarbler alone', find: { learner: theirs.Reed.learner } }], version: 0 }
    expect((await as(reed(), 'PUT', '/api/searches', mine)).status).toBe(200)
    expect((await as(reed(), 'GET', '/api/searches')).text).toContain('Sedgewarbler alone')
    for (const { cookie } of people.filter((p) => p.who !== 'Reed teacher'))
      expect(JSON.parse((await as(cookie, 'GET', '/api/searches')).text).searches).toEqual([])
  })

  test('a lesson to which learners of two teams come is seen in part by each, and changed by neither', async () => {
    const lesson = JSON.parse(await made('GET', `/api/lessons/${theirs.Reed.ids.lesson}`)) as {
      learners: string[]
      turns: object[]
      version: number
    }
    const both = { ...lesson, learners: [theirs.Reed.learner, theirs.Lantern.learner] }
    const kept = JSON.parse(await made('PUT', `/api/lessons/${theirs.Reed.ids.lesson}`, both)) as object
    const seen = JSON.parse((await as(reed(), 'GET', `/api/lessons/${theirs.Reed.ids.lesson}`)).text) as {
      learners: string[]
    }
    expect(seen.learners).toEqual([theirs.Reed.learner])
    for (const [method, body] of [
      ['PUT', { ...kept, learners: [theirs.Reed.learner] }],
      ['DELETE', undefined],
    ] as const)
      expect((await as(reed(), method, `/api/lessons/${theirs.Reed.ids.lesson}`, body)).status).toBe(403)
  })
})
