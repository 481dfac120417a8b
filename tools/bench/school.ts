import { randomUUID } from 'node:crypto'
import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { seedDemo } from '../../demo/lantern-walk'
import { makeStore } from '../../server/utils/store'
import type { SavedRecord, TakenIn } from '../../shared/schemas'
import type { Figure } from './all'

const LEARNERS = 300
const ASKED = 400
const SLIPS = ['left a coin out', 'counted one thing twice', 'forgot the next rod', 'set out another number than asked']

/** Fills a data folder with a school's records, and says what its lists may be narrowed by. */
function fill(
  data: string,
  records: number,
): { readonly learners: readonly string[]; readonly ids: readonly string[] } {
  const store = makeStore(join(data, 'sett.db'))
  seedDemo(store, new Date('2026-11-24T12:00:00Z'))
  const samples = [...store.records(null)]
  const learners = Array.from({ length: LEARNERS }, (_, i) => {
    const id = randomUUID()
    store.addLearner({ id, codeName: `Bird ${i + 1}` })
    return id
  })
  const ids: string[] = []
  const from = Date.UTC(2020, 8, 1)
  const step = (Date.UTC(2026, 10, 1) - from) / records
  store.db.pragma('synchronous = OFF')
  for (let done = 0; done < records; done += 20_000)
    store.db.transaction(() => {
      for (let i = done; i < Math.min(records, done + 20_000); i++) {
        const sample = samples[i % samples.length]!
        const problem = `${20 + (i % 80)} + ${10 + (i % 37)}`
        const record: SavedRecord = {
          ...sample,
          id: randomUUID(),
          learnerId: learners[i % LEARNERS]!,
          startedAt: new Date(from + i * step).toISOString(),
          work: { ...sample.work, problem },
        }
        if (i % 1000 === 0) ids.push(record.id)
        store.save(record, i % 5 === 0 ? [SLIPS[i % 4]!] : [])
      }
    })()
  for (let i = 0; i < records / 2; i++) {
    const id = randomUUID()
    store.keepAnswer({
      id,
      learnerId: learners[i % LEARNERS]!,
      at: from + i,
      item: 'read 407',
      given: '470',
      right: false,
      ms: 900,
    })
  }
  store.db.pragma('wal_checkpoint(TRUNCATE)')
  store.db.close()
  return { learners, ids }
}

/** How a list reads its rows: every step of every plan that reads a table without an index. */
function scans(data: string, learner: string): readonly string[] {
  const store = makeStore(join(data, 'sett.db'))
  const plans: string[] = []
  const { prepare } = store.db
  const seen: string[] = []
  store.db.prepare = ((sql: string) => (seen.push(sql), prepare.call(store.db, sql))) as typeof prepare
  const narrowed = [
    {},
    { learner },
    { problem: '37 + 20' },
    { material: 'blocks' as const },
    { slip: SLIPS[0]! },
    { learner, slip: SLIPS[0]! },
    { from: '2022-01-01' },
  ]
  for (const by of narrowed)
    store.page({ limit: 50, before: `2024-01-01T00:00:00.000Z_${learner}`, ...by } as Parameters<typeof store.page>[0])
  store.db.prepare = prepare
  for (const sql of seen) {
    // Whatever the values are called, their number is enough for a plan.
    const values = [...sql.matchAll(/@\w+/g)].map(() => '')
    const plan = store.db.prepare<string[], { detail: string }>(`EXPLAIN QUERY PLAN ${sql.replace(/@\w+/g, '?')}`)
    for (const { detail } of plan.all(...values)) if (/^SCAN (?!.*USING)|TEMP B-TREE/.test(detail)) plans.push(detail)
  }
  store.db.close()
  return plans
}

const at = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!

/** How long a process has worked so far, in milliseconds. */
function cpuOf(pid: number): number {
  const [user, system] = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ').slice(11, 13)
  return 10 * (Number(user) + Number(system))
}

/** How long others wait for an answer while some work is done, in milliseconds, and how long the work takes, in seconds. */
async function meanwhile<T>(url: string, work: Promise<T>) {
  const begun = performance.now()
  let busy = true
  const done = work.finally(() => (busy = false))
  const waits: number[] = []
  while (busy) {
    const asked = performance.now()
    await (await fetch(`${url}/api/records?limit=10`)).arrayBuffer()
    waits.push(performance.now() - asked)
    await new Promise((next) => setTimeout(next, 20))
  }
  const made = await done
  waits.sort((a, b) => a - b)
  const beside = `others wait ${at(waits, 0.99).toFixed(0)} ms, 99 of 100 of ${waits.length}; longest ${waits.at(-1)!.toFixed(0)} ms`
  return { made, seconds: (performance.now() - begun) / 1000, beside }
}

/** Work on the whole database, and how long others wait meanwhile: a backup, a restore, a learner erased from it and from its copies. */
async function whole(url: string, learner: string): Promise<Figure[]> {
  const sent = async <T>(method: string, path: string, body?: object): Promise<T> => {
    // Told how far it is, a client waits as long as it takes.
    const headers = { 'content-type': 'application/json', accept: 'application/x-ndjson' }
    const answer = await fetch(url + path, { method, headers, ...(body ? { body: JSON.stringify(body) } : {}) })
    const last = JSON.parse((await answer.text()).trim().split('\n').at(-1)!) as T | { result: T }
    if (!answer.ok) throw new Error(JSON.stringify(last))
    return typeof last === 'object' && last !== null && 'result' in last ? last.result : last
  }
  const backup = await meanwhile(url, sent<{ name: string }>('POST', '/api/backups'))
  const file = await meanwhile(url, sent('GET', `/api/learners/${learner}`))
  const erased = await meanwhile(url, sent<{ copies: number }>('DELETE', `/api/learners/${learner}`))
  const restored = await meanwhile(url, sent('POST', '/api/backups/restore', { name: backup.made.name }))
  const figure = (what: string, { seconds, beside }: typeof file): Figure => ({
    what,
    value: `${seconds.toFixed(1)} s`,
    beside,
  })
  return [
    figure('a backup made and looked through', backup),
    figure('everything kept of a learner as one file', file),
    figure(`a learner erased, from ${erased.made.copies} copies too`, erased),
    figure('a backup put back', restored),
  ]
}

/** Twenty thousand records taken in, in parts as the app sends a long file and then as one file, and how long others wait meanwhile. */
async function importing(url: string, memory: () => string): Promise<Figure[]> {
  const IMPORTED = 20_000
  const PART = 1000
  const { records: some } = (await (await fetch(`${url}/api/records?limit=13`)).json()) as {
    records: { id: string }[]
  }
  const samples = await Promise.all(
    some.map(async ({ id }) => (await (await fetch(`${url}/api/records/${id}`)).json()) as Omit<SavedRecord, 'id'>),
  )
  const fresh = (count: number): string => {
    const records = Array.from({ length: count }, (_, i) => {
      const { learnerId: _learner, ...rest } = samples[i % samples.length]!
      return { ...rest, id: randomUUID(), learner: 'Wren' }
    })
    return JSON.stringify({ format: 'sett-records', version: 1, records })
  }
  const sent = async (body: string): Promise<number> => {
    const headers = { 'content-type': 'application/json', accept: 'application/x-ndjson' }
    const answer = await fetch(`${url}/api/records/file`, { method: 'POST', headers, body })
    const last = JSON.parse((await answer.text()).trim().split('\n').at(-1)!) as { result: TakenIn }
    return last.result.added
  }
  const inParts = async (): Promise<number> => {
    let added = 0
    for (let i = 0; i < IMPORTED / PART; i++) added += await sent(fresh(PART))
    return added
  }
  const parts = await meanwhile(url, inParts())
  const afterParts = memory()
  const whole = await meanwhile(url, sent(fresh(IMPORTED)))
  return [
    {
      what: `${parts.made.toLocaleString('en')} records taken in, in parts as the app does`,
      value: `${parts.seconds.toFixed(1)} s`,
      beside: `each replayed; ${parts.beside}; memory ${afterParts} at most`,
    },
    {
      what: `${whole.made.toLocaleString('en')} records taken in as one file`,
      value: `${whole.seconds.toFixed(1)} s`,
      beside: `each replayed; ${whole.beside}; memory ${memory()} at most`,
    },
  ]
}

/** What a school of this size waits for: every kind of page, a file of everything, memory. */
export const schoolOf = (records: number) => async (): Promise<Figure[]> => {
  const data = mkdtempSync(join(tmpdir(), 'sett-school-'))
  const { learners, ids } = fill(data, records)
  const unread = scans(data, learners[0]!)
  const port = 4790
  const started = performance.now()
  const server = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: { ...process.env, SETT_DATA: data, PORT: String(port), HOST: '127.0.0.1' },
    stdio: 'ignore',
  })
  const url = `http://127.0.0.1:${port}`
  while (
    !(await fetch(`${url}/api/session`).then(
      (r) => r.ok,
      () => false,
    ))
  )
    await new Promise((next) => setTimeout(next, 50))
  const opened = performance.now() - started
  const some = <T>(all: readonly T[]): T => all[Math.floor(Math.random() * all.length)]!
  const asked: readonly (readonly [string, () => string])[] = [
    ['the first page of the Daybook', () => '/api/records'],
    [
      'a page in the middle',
      () => `/api/records?before=2023-0${1 + Math.floor(Math.random() * 9)}-01T00:00:00.000Z_${some(ids)}`,
    ],
    ['a page of one learner', () => `/api/records?learner=${some(learners)}`],
    [
      'a page of one problem',
      () => `/api/records?problem=${encodeURIComponent(`${20 + Math.floor(Math.random() * 80)} + 17`)}`,
    ],
    ['a page of one slip', () => `/api/records?slip=${encodeURIComponent(some(SLIPS))}`],
    [
      'a page of one learner with one slip',
      () => `/api/records?learner=${some(learners)}&slip=${encodeURIComponent(some(SLIPS))}`,
    ],
    ['where thirty learners stand', () => `/api/standings?learners=${learners.slice(0, 30).join(',')}`],
    ['a page of one material', () => '/api/records?material=blocks'],
    ['a page of some days', () => '/api/records?from=2023-03-01&to=2023-03-04'],
    ['one record', () => `/api/records/${some(ids)}`],
    ['the progress of a learner', () => `/api/progress?learner=${some(learners)}`],
    ['the room and its learners', () => '/api/classroom'],
    ['a learner’s rehearsing', () => `/api/rehearsals?of=${some(learners)}`],
  ]
  const figures: Figure[] = [
    {
      what: `starting, ${records.toLocaleString('en')} records looked through`,
      value: `${opened.toFixed(0)} ms`,
      beside: '',
    },
    {
      what: 'steps of query plans without an index',
      value: String(unread.length),
      beside: unread.join('; ') || 'none',
    },
  ]
  for (const [what, path] of asked) {
    const times: number[] = []
    const before = cpuOf(server.pid!)
    for (let i = 0; i < ASKED; i++) {
      const begun = performance.now()
      await (await fetch(url + path())).arrayBuffer()
      times.push(performance.now() - begun)
    }
    times.sort((a, b) => a - b)
    figures.push({
      what,
      value: `${at(times, 0.99).toFixed(1)} ms`,
      beside: `99 of 100; half below ${at(times, 0.5).toFixed(1)} ms; ${((cpuOf(server.pid!) - before) / ASKED).toFixed(1)} ms of processor each`,
    })
  }
  const begun = performance.now()
  let bytes = 0
  for await (const chunk of (await fetch(`${url}/api/records/file`)).body! as unknown as AsyncIterable<Uint8Array>)
    bytes += chunk.length
  const exported = performance.now() - begun
  // The most since it was last asked.
  const memory = (): string => {
    const peak = /VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1] ?? '0'
    writeFileSync(`/proc/${server.pid}/clear_refs`, '5')
    return `${(Number(peak) / 1000).toFixed(0)} MB`
  }
  figures.push(
    {
      what: 'a file of everything',
      value: `${(exported / 1000).toFixed(1)} s`,
      beside: `${(bytes / 1e6).toFixed(0)} MB, streamed`,
    },
    { what: 'memory of the server, at most, with all of the above', value: memory(), beside: '300 MB wanted' },
    ...(await importing(url, memory)),
    ...(await whole(url, learners[1]!)),
    { what: 'memory of the server, at most, with the last four', value: memory(), beside: '300 MB wanted' },
  )
  server.kill()
  await new Promise((done) => server.once('exit', done))
  rmSync(data, { recursive: true, force: true })
  return figures
}
