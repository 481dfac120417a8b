import { randomUUID } from 'node:crypto'
import { fdatasyncSync, mkdtempSync, openSync, writeSync } from 'node:fs'
import { Agent, request, type RequestOptions } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { serve } from '../../tests/browser/world'
import type { RecordSummary } from '../../shared/listing'
import type { SavedRecord } from '../../shared/schemas'
import { makeStore } from '../../server/utils/store'
import type { Figure } from './all'

const COUNT = 1000
const CLIENTS = [1, 8, 32] as const
const folder = (): string => mkdtempSync(join(tmpdir(), 'sett-bare-'))
const perSecond = (count: number, since: number): number => count / ((performance.now() - since) / 1000)

/** Rows of Sett's own table a second, with its indexes, each with a commit of its own, and with nothing looked at. */
function rowsASecond(records: readonly SavedRecord[]): number {
  const store = makeStore(join(folder(), 'sett.db'))
  for (const [i, id] of [...new Set(records.map((r) => r.learnerId))].entries())
    store.addLearner({ id, codeName: `Wren ${i}` })
  const start = performance.now()
  for (const record of records) store.save(record, [])
  return perSecond(records.length, start)
}

/** A table of texts and nothing else, as durable as Sett's. */
function bareTable(): (body: string) => void {
  const db = new Database(join(folder(), 'bare.db'))
  db.pragma('journal_mode = WAL')
  db.pragma('synchronous = FULL')
  db.exec('CREATE TABLE record (id TEXT PRIMARY KEY, body TEXT NOT NULL) STRICT')
  const insert = db.prepare('INSERT INTO record VALUES (?, ?)')
  return (body) => void insert.run(randomUUID(), body)
}

/** Bare inserts of these texts a second. */
function bareASecond(bodies: readonly string[]): number {
  const insert = bareTable()
  const start = performance.now()
  for (const body of bodies) insert(body)
  return perSecond(bodies.length, start)
}

/** Milliseconds that this disk takes until it says that a page of a file is safe: what a commit waits for at least. */
function flushMs(): number {
  const file = openSync(join(folder(), 'page'), 'w')
  const page = Buffer.alloc(4096, 1)
  const start = performance.now()
  for (let i = 0; i < 300; i++) {
    writeSync(file, page, 0, page.length, i * page.length)
    fdatasyncSync(file)
  }
  return (performance.now() - start) / 300
}

/** Sends one request and reads its answer. `fetch` would cost more than the server. @throws Error where it is not answered with 200. */
function sent(options: RequestOptions, body?: string): Promise<string> {
  const headers =
    body === undefined ? {} : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) }
  return new Promise((done, failed) => {
    const asked = request({ ...options, headers }, (answer) => {
      let text = ''
      answer.setEncoding('utf8').on('data', (part: string) => (text += part))
      answer.on('end', () => (answer.statusCode === 200 ? done(text) : failed(new Error(text))))
    })
    asked.on('error', failed).end(body)
  })
}

/** Bodies posted by so many at once, each waiting for its answer before the next: how many a second, and how long each waited, in order. */
async function posted(port: number, clients: number, bodies: string[]): Promise<{ rate: number; waits: number[] }> {
  const agent = new Agent({ keepAlive: true, maxSockets: clients })
  const count = bodies.length
  const start = performance.now()
  const waits: number[] = []
  const client = async (): Promise<void> => {
    for (let body = bodies.pop(); body !== undefined; body = bodies.pop()) {
      const asked = performance.now()
      await sent({ host: '127.0.0.1', port, agent, method: 'POST', path: '/api/records' }, body)
      waits.push(performance.now() - asked)
    }
  }
  await Promise.all(Array.from({ length: clients }, client))
  agent.destroy()
  return { rate: perSecond(count, start), waits: waits.sort((a, b) => a - b) }
}
const postedASecond = async (port: number, clients: number, bodies: string[]): Promise<number> =>
  (await posted(port, clients, bodies)).rate

/** So many who save at once, and how many of their records are long: one of ten, of 300 moves. */
const CROWD = 200
const LONG_MOVES = 300

/** Records saved a second through the API, beside bare inserts of the same texts at the same durability. */
export async function savesPerSecond(): Promise<Figure[]> {
  const app = await serve({ demo: true })
  try {
    const port = Number(new URL(app.url).port)
    const read = async <T>(path: string): Promise<T> => JSON.parse(await sent({ host: '127.0.0.1', port, path })) as T
    const { records } = await read<{ records: RecordSummary[] }>('/api/records')
    const worked: SavedRecord[] = []
    for (const { id, kind } of records) if (kind === 'bench') worked.push(await read(`/api/records/${id}`))
    const fresh = (count: number): SavedRecord[] =>
      Array.from({ length: count }, (_, i) => ({ ...worked[i % worked.length]!, id: randomUUID() }))
    const bodies = (): string[] => fresh(COUNT).map((record) => JSON.stringify(record))

    await postedASecond(port, 8, bodies())
    const through: number[] = []
    for (const clients of CLIENTS) through.push(await postedASecond(port, clients, bodies()))
    const sample = worked.find((record) => record.work.representation === 'blocks')!
    const moves = Array.from({ length: LONG_MOVES }, (_, i) =>
      i % 2 === 0 ? { at: i, on: 'blocks' as const, move: 'lay 1 one' } : { at: i, on: 'bench' as const, move: 'undo' },
    )
    const crowd = fresh(6 * CROWD).map((record, i) =>
      JSON.stringify(i % 10 === 0 ? { ...record, work: { ...sample.work, moves } } : record),
    )
    const { waits } = await posted(port, CROWD, crowd)
    const [median, longest] = [waits[waits.length >> 1]!, waits.at(-1)!]
    const bare = bareASecond(bodies())
    const own = rowsASecond(fresh(COUNT))
    return [
      ...CLIENTS.map((clients, i) => ({
        what: `records a second through the API, ${clients} at once`,
        value: through[i]!.toFixed(0),
        beside: `checked, replayed, on disk when answered; ${(through[i]! / bare).toFixed(2)} of bare inserts, ${(through[i]! / own).toFixed(2)} of rows with their indexes`,
      })),
      {
        what: `longest wait of ${CROWD} who save at once, one record of ten long`,
        value: `${longest.toFixed(0)} ms`,
        beside: `${(longest / median).toFixed(1)} times the median; 3 at most wanted`,
      },
      {
        what: 'bare better-sqlite3 inserts a second, WAL, synchronous FULL',
        value: bare.toFixed(0),
        beside: `the same texts; this disk says after ${flushMs().toFixed(2)} ms that a page is safe`,
      },
      {
        what: 'the same records as rows of Sett’s own table, with its indexes, a commit each',
        value: own.toFixed(0),
        beside: 'neither checked nor replayed',
      },
    ]
  } finally {
    await app.stop()
  }
}
