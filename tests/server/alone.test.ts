import { EventEmitter } from 'node:events'
import { randomUUID } from 'node:crypto'
import { readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import type { H3Event } from 'h3'
import { alone, isShut, mayWrite } from '../../server/utils/alone'
import { aside } from '../../server/utils/aside'
import { listBackups } from '../../server/utils/backups'
import { daily } from '../../server/utils/keeping'
import { makeStore } from '../../server/utils/store'
import type { RecordSummary } from '../../shared/listing'
import type { Receipt } from '../../shared/people'
import type { SavedRecord } from '../../shared/schemas'
import { serve, type Running } from '../browser/world'
import { all, demo, folder } from './seeded'

/** A request as far as it can end. */
const request = (): H3Event => ({ node: { res: new EventEmitter() } }) as unknown as H3Event
const end = (event: H3Event): void => void event.node.res.emit('close')
const turn = (): Promise<void> => new Promise((done) => setImmediate(done))

describe('whoever writes and whoever works on the whole', () => {
  const store = demo()
  afterAll(() => store.db.close())

  test('the one waits for the others, and they for it', async () => {
    const said: string[] = []
    const writer = request()
    await mayWrite(writer)
    const whole = alone(
      () => store,
      undefined,
      async () => {
        said.push('whole')
        expect(isShut()).toBe(true)
        await turn()
        said.push('whole is done')
      },
    )
    const late = request()
    const waited = mayWrite(late).then(() => said.push('late'))
    await turn()
    expect(said).toEqual([])
    end(writer)
    await Promise.all([whole, waited])
    expect(said).toEqual(['whole', 'whole is done', 'late'])
    expect(isShut()).toBe(false)
    end(late)
  })

  test('who asks for the whole does not wait for itself, and two of them come one after the other', async () => {
    const said: string[] = []
    const events = [request(), request()]
    for (const event of events) await mayWrite(event)
    const works = events.map((event, i) =>
      alone(
        () => store,
        event,
        async () => {
          said.push(`${i} begins`)
          await turn()
          said.push(`${i} ends`)
        },
      ),
    )
    await Promise.all(works)
    expect(said).toEqual(['0 begins', '0 ends', '1 begins', '1 ends'])
  })

  test('a request that is given up while it waits holds up nobody; work that fails opens again', async () => {
    // Nobody's patience ends here, so that waiting for what is gone would never end.
    jest.useFakeTimers({ doNotFake: ['setImmediate', 'nextTick', 'queueMicrotask'] })
    let fail!: (error: Error) => void
    const failing = alone(
      () => store,
      undefined,
      () => new Promise<void>((_, no) => (fail = no)),
    )
    await turn()
    const gone = request()
    const waiting = mayWrite(gone)
    end(gone)
    fail(new Error('no room'))
    await expect(failing).rejects.toThrow('no room')
    await waiting
    // Were it still counted, this would wait for it.
    await alone(
      () => store,
      undefined,
      async () => {},
    )
    expect(store.db.pragma('busy_timeout', { simple: true })).toBe(5000)
    jest.useRealTimers()
  }, 5000)

  test('whoever waited works on the database that is there when the turn comes', async () => {
    const other = demo()
    let now = store
    let open!: () => void
    const restoring = alone(
      () => now,
      undefined,
      () => new Promise<void>((done) => (open = done)),
    )
    const waiting = alone(
      () => now,
      undefined,
      (its) => Promise.resolve(its),
    )
    await turn()
    now = other
    open()
    await restoring
    expect(await waiting).toBe(other)
    other.db.close()
  })

  test('a task that fails says how, with its code', async () => {
    await expect(aside('erase', { path: '/nowhere/sett.db', id: 'x', at: 0 })).rejects.toThrow()
    expect(await aside('lookThrough', { path: join(process.cwd(), 'package.json') })).toContain('is no database')
  })
})

describe('in a running server', () => {
  let app: Running
  beforeAll(async () => {
    app = await serve({ demo: true })
  })
  afterAll(() => app.stop())
  const call = async <T>(method: string, path: string, body?: unknown, accept = 'application/json') => {
    const answer = await fetch(app.url + path, {
      method,
      headers: { 'content-type': 'application/json', accept },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    const text = await answer.text()
    return {
      status: answer.status,
      text,
      body: (accept === 'application/json' ? JSON.parse(text || 'null') : null) as T,
    }
  }

  test('saving, backing up, restoring and erasing at once lose nothing that was told', async () => {
    const { learners } = (await call<{ learners: { id: string }[] }>('GET', '/api/classroom')).body
    const { records } = (await call<{ records: RecordSummary[] }>('GET', '/api/records?limit=13')).body
    const bench = records.find((r) => r.kind === 'bench')!
    const record = (await call<SavedRecord>('GET', `/api/records/${bench.id}`)).body
    const [first, second] = learners.map((l) => l.id).filter((id) => id !== record.learnerId) as [string, string]
    const saves = (count: number) =>
      Array.from({ length: count }, () => ({ ...record, id: randomUUID() })).map(async (body) => ({
        id: body.id,
        status: (await call('POST', '/api/records', body)).status,
      }))
    const begun = saves(20)
    const whole = [
      call<Receipt>('DELETE', `/api/learners/${first}`),
      call<{ name: string }>('POST', '/api/backups'),
      call<Receipt>('DELETE', `/api/learners/${second}`),
    ]
    const saved = await Promise.all([...begun, ...saves(20)])
    expect((await Promise.all(whole)).map((a) => a.status)).toEqual([200, 200, 200])
    for (const { id, status } of saved) {
      expect(status).toBe(200)
      expect((await call('GET', `/api/records/${id}`)).status).toBe(200)
    }
    for (const id of [first, second]) expect((await call('GET', `/api/learners/${id}`)).status).toBe(404)

    const { name } = (await call<{ name: string }>('POST', '/api/backups')).body
    const afterIt = { ...record, id: randomUUID() }
    expect((await call('POST', '/api/records', afterIt)).status).toBe(200)
    const [restored, ...read] = await Promise.all([
      call<{ before: string }>('POST', '/api/backups/restore', { name }),
      ...Array.from({ length: 20 }, () => call('GET', '/api/records')),
    ])
    expect([restored.status, ...read.map((a) => a.status)]).toEqual(Array(21).fill(200))
    expect((await call('GET', `/api/records/${afterIt.id}`)).status).toBe(404)
    // What was there before is a backup, and can be gone back to.
    expect((await call('POST', '/api/backups/restore', { name: restored.body.before })).status).toBe(200)
    expect((await call('GET', `/api/records/${afterIt.id}`)).status).toBe(200)
    expect(readdirSync(app.data).filter((f) => f.includes('.next'))).toEqual([])
  })

  test('an import that is stopped keeps nothing or, where it was done already, all; and holds up nobody', async () => {
    const { records } = (await call<{ records: RecordSummary[] }>('GET', '/api/records?limit=13')).body
    const { learnerId: _, ...rest } = (
      await call<SavedRecord>('GET', `/api/records/${records.find((r) => r.kind === 'bench')!.id}`)
    ).body
    for (const after of [20, 250, 400, 550]) {
      const learner = `Stopped ${after}`
      const body = JSON.stringify({
        format: 'sett-records',
        version: 1,
        records: Array.from({ length: 200 }, () => ({ ...rest, id: randomUUID(), learner })),
      })
      const leaving = new AbortController()
      setTimeout(() => leaving.abort(), after)
      await fetch(`${app.url}/api/records/file`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', accept: 'application/x-ndjson' },
        body,
        signal: leaving.signal,
      })
        .then((r) => r.text())
        .catch(() => {})
      // A backup is made after whatever is still at it.
      expect((await call('POST', '/api/backups')).status).toBe(200)
      const { learners } = (await call<{ learners: { id: string; codeName: string }[] }>('GET', '/api/classroom')).body
      const id = learners.find((l) => l.codeName === learner)?.id
      const kept =
        id === undefined ? 0 : (await call<{ records: [] }>('GET', `/api/learners/${id}`)).body.records.length
      expect([0, 200]).toContain(kept)
    }
  })

  test('who is erased by two at once is erased once', async () => {
    const { learners } = (await call<{ learners: { id: string }[] }>('GET', '/api/classroom')).body
    const { id } = learners.at(-1)!
    const both = await Promise.all([call('DELETE', `/api/learners/${id}`), call('DELETE', `/api/learners/${id}`)])
    expect(both.map((a) => a.status).sort()).toEqual([200, 404])
  })

  test('erasing tells how far it is, and is done to its end although nobody listens any more', async () => {
    const { learners } = (await call<{ learners: { id: string }[] }>('GET', '/api/classroom')).body
    const [third, fourth] = learners.map((l) => l.id) as [string, string]
    const told = (await call('DELETE', `/api/learners/${third}`, undefined, 'application/x-ndjson')).text
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { done?: number; of?: number; result?: Receipt })
    const { copies } = told.at(-1)!.result!
    expect(copies).toBeGreaterThan(1)
    expect(told[0]).toEqual({ done: 0, of: copies + 1 })

    const leaving = new AbortController()
    const listened = await fetch(`${app.url}/api/learners/${fourth}`, {
      method: 'DELETE',
      headers: { accept: 'application/x-ndjson' },
      signal: leaving.signal,
    })
    await listened.body!.getReader().read()
    leaving.abort()
    const holds = (name: string): boolean => {
      const db = new Database(join(app.data, 'backups', name), { readonly: true })
      const found = db.prepare('SELECT 1 FROM learner WHERE id = ?').get(fourth) !== undefined
      db.close()
      return found
    }
    // The copies come first, the learner last: who is gone from Sett is gone from every copy.
    while ((await call('GET', `/api/learners/${fourth}`)).status !== 404) await turn()
    expect(readdirSync(join(app.data, 'backups')).filter(holds)).toEqual([])
  })

  test('a damaged backup is refused in words, found in a thread of its own', async () => {
    const { name } = (await call<{ name: string }>('POST', '/api/backups')).body
    writeFileSync(join(app.data, 'backups', name), 'not a database at all, but as long as one might be')
    const refused = await call<{ detail: string }>('POST', '/api/backups/restore', { name })
    expect([refused.status, refused.body.detail]).toEqual([
      409,
      expect.stringMatching(/is no database.*Nothing was changed/),
    ])
    expect((await call('GET', '/api/records')).status).toBe(200)
  })
})

test('a server killed while a thread of it erases, takes in or backs up leaves a whole database, and all or nothing of the work', async () => {
  const data = folder()
  const path = join(data, 'sett.db')
  const first = demo(path)
  const [one] = all(first)
  const { learnerId: _, ...rest } = one!
  const file = (turn: number) => ({
    format: 'sett-records',
    version: 1,
    records: Array.from({ length: 60 }, () => ({ ...rest, id: randomUUID(), learner: `Bird ${turn}` })),
  })
  first.db.close()
  for (let turn = 0; turn < 6; turn++) {
    const before = makeStore(path)
    const there = before.learners()
    const kept = new Map(there.map((l) => [l.id, before.keptOf(l.id).records]))
    before.db.close()
    const app = await serve({ data })
    const send = (method: string, to: string, body?: unknown): void =>
      void fetch(app.url + to, {
        method,
        headers: { 'content-type': 'application/json' },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      }).catch(() => {})
    send('POST', '/api/backups')
    send('POST', '/api/records/file', file(turn))
    send('DELETE', `/api/learners/${there[0]!.id}`)
    await new Promise((next) => setTimeout(next, 30 + 45 * turn))
    await app.kill()

    const after = makeStore(path)
    expect(after.db.pragma('integrity_check', { simple: true })).toBe('ok')
    expect(after.db.pragma('foreign_key_check')).toEqual([])
    expect([0, 60]).toContain(after.keptOf(after.learnerNamed(`Bird ${turn}`)?.id ?? '').records)
    for (const { id } of there) {
      const left = after.keptOf(id).records
      if (after.hasLearner(id)) expect(left).toBe(kept.get(id))
      else expect([left, id]).toEqual([0, there[0]!.id])
    }
    await daily(() => after)
    for (const { name } of listBackups(path)) {
      const copy = new Database(join(data, 'backups', name), { readonly: true })
      expect(copy.pragma('integrity_check', { simple: true })).toBe('ok')
      for (const id of after.erasedLearners())
        expect(copy.prepare('SELECT 1 FROM learner WHERE id = ?').get(id)).toBeUndefined()
      copy.close()
    }
    after.db.close()
  }
})
