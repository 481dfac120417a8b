import { randomUUID } from 'node:crypto'
import fc from 'fast-check'
import { serve, type Running } from '../browser/world'

let app: Running
beforeAll(async () => (app = await serve({ demo: true })))
afterAll(() => app.stop())

interface Answer {
  status: number
  type: string
  body: { detail: string; status: number; title: string; errors?: { pointer: string; detail: string }[] } & Record<
    string,
    never
  >
}
async function call(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = { 'content-type': 'application/json' },
): Promise<Answer> {
  const response = await fetch(app.url + path, {
    method,
    ...(body === undefined ? {} : { headers, body: typeof body === 'string' ? body : JSON.stringify(body) }),
  })
  const text = await response.text()
  return {
    status: response.status,
    type: response.headers.get('content-type') ?? '',
    body: text ? JSON.parse(text) : {},
  }
}
const get = async <T>(path: string): Promise<T> => (await fetch(app.url + path)).json() as Promise<T>
const file = () =>
  get<{ version: number; records: { id: string; work: { moves: { move: string }[] } }[] }>('/api/records/file')
const summaries = async () => (await get<{ records: { id: string; learnerId: string }[] }>('/api/records')).records

/** Checks a problem answer of RFC 9457: media type, members, status repeated, and no stack trace. */
function problem(answer: Answer, status: number, detail: string | RegExp, pointer?: string): void {
  expect(answer.status).toBe(status)
  expect(answer.type).toContain('application/problem+json')
  expect(Object.keys(answer.body)).toEqual(expect.arrayContaining(['type', 'title', 'status', 'detail']))
  expect(answer.body.status).toBe(status)
  expect(answer.body.detail).toMatch(detail)
  if (pointer !== undefined) expect(answer.body.errors?.[0]?.pointer).toBe(pointer)
  expect(JSON.stringify(answer.body)).not.toMatch(/\bat .*\.m?[jt]s|node_modules|\bstack\b(?!-and-add)/)
}

const sample = async () =>
  get<{
    id: string
    learnerId: string
    work: Record<string, unknown>
    outcome: Record<string, unknown>
    startedAt: string
  }>(`/api/records/${(await summaries())[0]!.id}`)

test('bad records each get their own sentence at the place, and what is there stays', async () => {
  const before = await file()
  const good = { ...(await sample()), id: randomUUID() }
  const post = (body: unknown) => call('POST', '/api/records', body)
  problem(await post('{"id": "cut in ha'), 400, 'not complete JSON')
  problem(await post(''), 400, 'no content')
  problem(await post({}), 422, 'identifier', '/id')
  problem(await post([]), 422, /./)
  problem(await post({ ...good, extra: 1 }), 422, /extra/)
  problem(await post({ ...good, work: { ...good.work, version: 2 } }), 422, 'another version', '/work/version')
  problem(
    await post({ ...good, outcome: { ...good.outcome, help: 'magic' } }),
    422,
    'One of these is wanted',
    '/outcome/help',
  )
  problem(await post({ ...good, outcome: { ...good.outcome, note: 'n'.repeat(2001) } }), 422, '2,000', '/outcome/note')
  problem(await post({ ...good, learnerId: randomUUID() }), 422, 'no such learner', '/learnerId')
  problem(
    await post({ ...good, work: { ...good.work, problem: '52 −− 37' } }),
    422,
    'Two signs stand side by side',
    '/work/problem',
  )
  problem(
    await post({ ...good, work: { ...good.work, moves: [{ at: 1, on: 'blocks', move: 'take 7 ones' }] } }),
    422,
    'Move 1, “take 7 ones”, cannot be made',
    '/work/moves/0',
  )
  problem(await call('POST', '/api/records', 'x', { 'content-type': 'text/plain' }), 415, 'JSON is wanted')
  expect(await file()).toEqual(before)
})

test('bad files each get their own sentence, and nothing is taken in', async () => {
  const before = await file()
  const post = (body: unknown) => call('POST', '/api/records/file', body)
  const text = JSON.stringify(before)
  problem(await post(text.slice(0, text.length / 2)), 400, 'cut off')
  problem(await post({ ...before, version: 7 }), 422, 'later Sett (version 7)', '/version')
  problem(await post({ hello: 1 }), 422, 'not a file of Sett records', '/format')
  problem(await post(null), 422, 'not a file of Sett records')
  problem(await post(' '.repeat(60_000_000) + '{}'), 413, 'larger than 60 MB')
  const impossible = structuredClone(before)
  impossible.records[0]!.work.moves[0]!.move = 'break thousand'
  problem(await post(impossible), 422, /cannot be made/, '/records/0/work/moves/0')
  expect(await file()).toEqual(before)
})

test('the same record posted twice is one record', async () => {
  const good = { ...(await sample()), id: randomUUID() }
  const count = (await summaries()).length
  for (let i = 0; i < 2; i++) expect((await call('POST', '/api/records', good)).status).toBe(200)
  expect(await summaries()).toHaveLength(count + 1)
  expect((await call('DELETE', `/api/records/${good.id}`)).status).toBe(204)
  problem(await call('DELETE', `/api/records/${good.id}`), 404, 'no such record')
})

test('of other works under one id that come at the same moment one is kept, and the others are refused', async () => {
  const kept = await sample()
  const id = randomUUID()
  const works = ['1 + 1', '2 + 2', '3 + 3', '4 + 4'].map((problem) => ({
    ...kept,
    id,
    work: { ...kept.work, problem, representation: 'blocks', way: 'ones-first', also: [], both: null, moves: [] },
  }))
  const others = Array.from({ length: 20 }, () => ({ ...kept, id: randomUUID() }))
  const answers = await Promise.all([...works, ...others].map((body) => call('POST', '/api/records', body)))
  const statuses = answers.map((a) => a.status)
  expect(statuses.slice(0, 4).sort()).toEqual([200, 409, 409, 409])
  expect(statuses.slice(4)).toEqual(others.map(() => 200))
  const won = works[statuses.indexOf(200)]!
  expect((await get<{ work: { problem: string } }>(`/api/records/${id}`)).work.problem).toBe(won.work.problem)
  for (const { id: own } of [{ id }, ...others]) expect((await call('DELETE', `/api/records/${own}`)).status).toBe(204)
})

test('a newer state of the same work takes the place of the older one; anything else under its id is refused', async () => {
  const kept = { ...(await sample()), id: randomUUID() }
  const post = (body: unknown) => call('POST', '/api/records', body)
  expect((await post(kept)).status).toBe(200)
  const noted = { ...kept, outcome: { ...kept.outcome, note: 'looked at again' } }
  expect((await post(noted)).status).toBe(200)
  expect(await get(`/api/records/${kept.id}`)).toEqual(noted)
  problem(
    await post({ ...noted, work: { ...noted.work, problem: '1 + 1', moves: [] } }),
    409,
    'Something else is kept',
    '/id',
  )
  const { learners } = await get<{ learners: { id: string }[] }>('/api/classroom')
  const other = learners.find((l) => l.id !== kept.learnerId)!
  problem(await post({ ...noted, learnerId: other.id }), 409, 'stays as it is', '/id')
  expect(await get(`/api/records/${kept.id}`)).toEqual(noted)
  await call('DELETE', `/api/records/${kept.id}`)
})

test('a file of one learner has that one’s records only; of one record, that one', async () => {
  const { id, learnerId } = await sample()
  const records = async (query: string) =>
    (await get<{ records: { id: string; learner: string }[] }>(`/api/records/file?${query}`)).records
  const [all, hers] = [await records(''), await records(`learner=${learnerId}`)]
  expect(new Set(hers.map((r) => r.learner)).size).toBe(1)
  expect(hers.length).toBeGreaterThan(0)
  expect(all.length).toBeGreaterThan(hers.length)
  expect((await records(`record=${id}`)).map((r) => r.id)).toEqual([id])
  for (const query of [
    `learner=${learnerId}&learner=${learnerId}`,
    `learner=${learnerId}&all=1`,
    `record=${id}&learner=${learnerId}`,
  ])
    problem(await call('GET', `/api/records/file?${query}`), 422, /./)
  problem(await call('GET', `/api/records/file?learner=${randomUUID()}`), 404, 'no such learner')
})

test('a learner posted again is the same one, by a new name if it has one; names are compared in every script', async () => {
  const id = randomUUID()
  const add = (codeName: string, as = id) => call('POST', '/api/learners', { id: as, codeName })
  const names = async () => (await get<{ learners: { id: string; codeName: string }[] }>('/api/classroom')).learners
  const before = (await names()).length
  for (const name of ['अनिता', 'अनिता', 'ไก่', 'Žofie']) expect((await add(name)).status).toBe(200)
  expect((await names()).filter((l) => l.id === id).map((l) => l.codeName)).toEqual(['Žofie'])
  expect(await names()).toHaveLength(before + 1)
  for (const same of ['žofie', 'ŽOFIE', 'Z\u030cofie'])
    problem(await add(same, randomUUID()), 409, 'called Žofie already')
  expect((await add('Straße', randomUUID())).status).toBe(200)
  problem(await add('STRASSE', randomUUID()), 409, 'called Straße already')
  await call('DELETE', `/api/learners/${id}`)
})

test('learners: names are checked, and two cannot share one', async () => {
  problem(
    await call('POST', '/api/learners', { id: randomUUID(), codeName: '<b>' }),
    422,
    'letters and digits',
    '/codeName',
  )
  problem(
    await call('POST', '/api/learners', { id: randomUUID(), codeName: '  ' }),
    422,
    'at least one letter',
    '/codeName',
  )
  problem(await call('POST', '/api/learners', { id: randomUUID(), codeName: 'wren' }), 409, 'called Wren already')
  problem(await call('PUT', '/api/classroom', { name: '', words: 'exchange' }), 422, 'needs a name', '/name')
})

test('unknown addresses and hostile ids are a plain 404', async () => {
  problem(await call('GET', '/api/nothing'), 404, 'nothing at this address')
  problem(await call('GET', `/api/records/${encodeURIComponent("' OR 1=1 --")}`), 404, 'nothing at this address')
  problem(await call('GET', '/api/records/file?record=..%2F..'), 422, 'not an identifier')
})

test('a saved record survives a server killed right after it answered', async () => {
  const server = await serve({ demo: true })
  try {
    const { records } = (await (await fetch(`${server.url}/api/records`)).json()) as { records: { id: string }[] }
    const [one] = records
    const kept = (await (await fetch(`${server.url}/api/records/${one!.id}`)).json()) as Record<string, unknown>
    const fresh = { ...kept, id: randomUUID() }
    const answer = await fetch(`${server.url}/api/records`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(fresh),
    })
    expect(answer.status).toBe(200)
    await server.kill()
    const again = await serve({ data: server.data })
    expect(await (await fetch(`${again.url}/api/records/${fresh.id}`)).json()).toEqual(fresh)
    await again.stop()
  } finally {
    await server.kill().catch(() => undefined)
  }
})

test('a class keeps its own notches; a map that would change a numeral is refused with its total', async () => {
  const seven = [
    { counts: 2, at: 0.2, aside: 0 },
    { counts: 2, at: 0.5, aside: 3 },
    { counts: 2, at: 0.7, aside: 0 },
    { counts: 1, at: 0.9, aside: -3 },
  ]
  const map = { format: 'sett-notches', version: 1, digits: { 7: seven } }
  expect((await call('PUT', '/api/notches', map)).status).toBe(200)
  problem(
    await call('PUT', '/api/notches', { ...map, digits: { 7: seven.slice(1) } }),
    422,
    'The notches of 7 count 5. They must count 7.',
    '/digits',
  )
  problem(await call('PUT', '/api/notches', { ...map, digits: { 7: [{ at: '0.2', aside: 0 }] } }), 422, /of 7/)
  problem(await call('PUT', '/api/notches', '{'), 400, 'not complete JSON')
  // Marks that counted two, as an earlier version had them, are kept as singles.
  const { map: kept } = await get<{ map: { version: number; digits: Record<string, unknown[]> } }>('/api/notches')
  expect([kept.version, kept.digits[7]!.length]).toEqual([2, 7])
  expect((await call('DELETE', '/api/notches')).status).toBe(204)
  expect(await get('/api/notches')).toEqual({ map: null })
})

test('answers of rehearsing are checked, judged here, kept once, and deleted with their learner', async () => {
  const learnerId = randomUUID()
  await call('POST', '/api/learners', { id: learnerId, codeName: 'Dunnock' })
  const post = (body: unknown) => call('POST', '/api/rehearsals', body)
  const answer = { id: randomUUID(), learnerId, at: 1_790_000_000_000, item: 'rule 6+7', given: 'mixed', ms: 2100 }
  problem(await post({ ...answer, item: 'rule 6+0' }), 422, 'is nothing to rehearse', '/item')
  problem(await post({ ...answer, right: true }), 422, /right/)
  problem(await post({ ...answer, ms: -1 }), 422, /./, '/ms')
  problem(await post({ ...answer, at: 9e15 }), 422, 'beyond the year 2100', '/at')
  problem(await post({ ...answer, learnerId: randomUUID() }), 422, 'no such learner', '/learnerId')
  problem(await call('GET', '/api/rehearsals?of=everybody'), 422, 'Whose answers is wanted')
  problem(await call('GET', '/api/rehearsals?of=teacher&of=teacher'), 422, 'twice')
  problem(await call('GET', '/api/rehearsals?of=teacher&who=me'), 422, 'does not know')
  expect((await post(answer)).body).toMatchObject({ right: true })
  expect((await post(answer)).status).toBe(200)
  expect((await post({ ...answer, id: randomUUID(), at: answer.at + 1, given: 'ten' })).body).toMatchObject({
    right: false,
  })
  await post({ ...answer, id: randomUUID(), learnerId: null, item: 'read 407', given: '470' })
  const of = (who: string) => get<{ right: boolean; item: string }[]>(`/api/rehearsals?of=${who}`)
  expect((await of(learnerId)).map((a) => [a.item, a.right])).toEqual([
    ['rule 6+7', true],
    ['rule 6+7', false],
  ])
  expect((await of('teacher')).filter((a) => a.item === 'read 407').map((a) => a.right)).toEqual([false])
  const file = await get<{ answers: unknown[] }>('/api/rehearsals/file?of=teacher')
  expect((await call('DELETE', '/api/rehearsals?of=teacher')).status).toBe(204)
  expect(await of('teacher')).toEqual([])
  expect(await of(learnerId)).toHaveLength(2)
  expect((await call('POST', '/api/rehearsals/file', file)).body).toEqual({
    added: file.answers.length,
    already: 0,
    learners: 0,
  })
  expect((await of('teacher')).length).toBe(file.answers.length)
  problem(await call('POST', '/api/rehearsals/file', { ...file, version: 2 }), 422, 'later Sett', '/version')
  problem(await call('POST', '/api/rehearsals/file', '[1'), 400, 'not complete JSON')
  problem(await call('GET', '/api/rehearsals/file?of=everybody'), 422, 'Whose answers is wanted')
  problem(await call('GET', `/api/rehearsals/file?of=${randomUUID()}`), 404, 'no such learner')
  expect((await call('DELETE', `/api/learners/${learnerId}`)).body).toMatchObject({
    learner: 'Dunnock',
    records: 0,
    answers: 2,
  })
  expect(await of(learnerId)).toEqual([])
})

test('control characters in names and notes are refused; line ends in a note are not', async () => {
  const { classroom } = await get<{ classroom: object }>('/api/classroom')
  problem(await call('PUT', '/api/classroom', { ...classroom, name: '\u0000' }), 422, 'cannot be read', '/name')
  const good = await sample()
  const noted = (note: string) => ({ ...good, id: randomUUID(), outcome: { ...good.outcome, note } })
  problem(await call('POST', '/api/records', noted('a\u0007b')), 422, 'cannot be read', '/outcome/note')
  const fresh = noted('Two lines.\nTea-lights in tens.')
  expect((await call('POST', '/api/records', fresh)).status).toBe(200)
  await call('DELETE', `/api/records/${fresh.id}`)
})

describe('whatever is sent', () => {
  /** A good body with one thing in it, however deep, put out of shape. */
  const spoilt = (good: unknown): fc.Arbitrary<unknown> => {
    const places: (readonly string[])[] = []
    const walk = (value: unknown, path: readonly string[]): void => {
      places.push(path)
      if (typeof value === 'object' && value !== null)
        for (const key of Object.keys(value).slice(0, 8)) walk((value as never)[key], [...path, key])
    }
    walk(good, [])
    const junk = fc.oneof(
      fc.anything({ maxDepth: 1 }),
      fc.constantFrom(null, -1, 1e308, '', '\u0000', '9'.repeat(300), '__proto__', '../../etc', [], {}),
    )
    return fc.tuple(fc.constantFrom(...places), junk).map(([path, put]) => {
      if (path.length === 0) return put
      const copy = structuredClone(good) as Record<string, never>
      const last = path.slice(0, -1).reduce((at, key) => at[key]!, copy)
      Object.assign(last, { [path.at(-1)!]: put })
      return copy
    })
  }
  /** What can be sent at all: JSON knows no functions and no bigints. */
  const sent = (body: unknown): string => {
    try {
      return JSON.stringify(body, (_, v: unknown) => (typeof v === 'bigint' ? String(v) : v)) ?? 'undefined'
    } catch {
      return '{'
    }
  }

  test.each([
    ['POST', '/api/records', sample],
    ['POST', '/api/records/file', file],
    ['PUT', '/api/classroom', async () => (await get<{ classroom: unknown }>('/api/classroom')).classroom],
    [
      'PUT',
      '/api/notches',
      async () => ({ format: 'sett-notches', version: 2, digits: { 1: [{ at: 0.5, aside: 0 }] } }),
    ],
    ['POST', '/api/learners', async () => ({ id: randomUUID(), codeName: 'Siskin' })],
    [
      'POST',
      '/api/rehearsals',
      async () => ({
        id: randomUUID(),
        learnerId: null,
        at: 1_790_000_000_000,
        item: 'set 407',
        given: 'ones lower 2 to bar',
        ms: 9,
      }),
    ],
    ['POST', '/api/rehearsals/file', async () => get('/api/rehearsals/file?of=teacher')],
  ] as const)('%s %s answers with a sentence or takes it, and never breaks', async (method, path, good) => {
    await fc.assert(
      fc.asyncProperty(spoilt(await good()), async (body) => {
        const answer = await call(method, path, sent(body))
        expect([200, 201, 204, 400, 409, 413, 415, 422]).toContain(answer.status)
        if (answer.status >= 400) problem(answer, answer.status, /\w/)
      }),
      { numRuns: 60 },
    )
    // And it still stands.
    expect((await call('GET', '/api/classroom')).status).toBe(200)
  })

  test('addresses and queries of every kind are answered, and never break it', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom('records', 'records/file', 'learners', 'rehearsals', 'rehearsals/file', 'notches', 'nothing'),
        fc.constantFrom('of', 'learner', 'record', 'x'),
        fc.string({ unit: 'binary', maxLength: 40 }),
        fc.constantFrom('GET', 'DELETE'),
        async (place, key, value, method) => {
          const safe = value.replace(/\p{Surrogate}/gu, '')
          for (const path of [
            `/api/${place}?${key}=${encodeURIComponent(safe)}`,
            `/api/${place}/${encodeURIComponent(safe)}`,
          ]) {
            const response = await fetch(app.url + path, { method })
            expect([path, response.status < 500]).toEqual([path, true])
          }
        },
      ),
      { numRuns: 120 },
    )
  })
})
