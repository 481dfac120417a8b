import { randomUUID } from 'node:crypto'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { serve } from '../../tests/browser/world'
import { makeStore } from '../../server/utils/store'
import type { SavedRecord } from '../../shared/schemas'
import type { Figure } from './all'

const COUNT = 300

/** Rows of Sett's own table a second, with its indexes, each with a commit of its own, and with nothing looked at. */
function rowsASecond(records: readonly SavedRecord[]): number {
  const store = makeStore(join(mkdtempSync(join(tmpdir(), 'sett-bare-')), 'sett.db'))
  const [{ learnerId }] = records as [SavedRecord]
  store.addLearner({ id: learnerId, codeName: 'Wren' })
  const start = performance.now()
  for (const record of records) store.save(record, [])
  return records.length / ((performance.now() - start) / 1000)
}

/** Records saved a second through the API, beside bare inserts of the same text at the same durability. */
export async function savesPerSecond(): Promise<Figure[]> {
  const app = await serve({ demo: true })
  try {
    const { records } = (await (await fetch(`${app.url}/api/records`)).json()) as { records: { id: string }[] }
    const record = (await (await fetch(`${app.url}/api/records/${records[0]!.id}`)).json()) as object
    const fresh = (count: number): string[] =>
      Array.from({ length: count }, () => JSON.stringify({ ...record, id: randomUUID() }))
    const headers = { 'content-type': 'application/json' }
    const post = (body: string) => fetch(`${app.url}/api/records`, { method: 'POST', headers, body })
    /** Saved by so many at once, each waiting for its answer. */
    const saved = async (clients: number): Promise<number> => {
      const bodies = fresh(COUNT)
      const begun = performance.now()
      const client = async (): Promise<void> => {
        for (let body = bodies.pop(); body !== undefined; body = bodies.pop()) await post(body)
      }
      await Promise.all(Array.from({ length: clients }, client))
      return COUNT / ((performance.now() - begun) / 1000)
    }
    await saved(1)
    const through = [await saved(1), await saved(8), await saved(32)]
    const bodies = fresh(COUNT)

    const db = new Database(join(mkdtempSync(join(tmpdir(), 'sett-bare-')), 'bare.db'))
    db.pragma('journal_mode = WAL')
    db.pragma('synchronous = FULL')
    db.exec('CREATE TABLE record (id TEXT PRIMARY KEY, body TEXT NOT NULL) STRICT')
    const insert = db.prepare('INSERT INTO record VALUES (?, ?)')
    const start = performance.now()
    for (const body of bodies) insert.run(randomUUID(), body)
    const bare = COUNT / ((performance.now() - start) / 1000)
    const own = rowsASecond(fresh(COUNT).map((body) => JSON.parse(body) as SavedRecord))
    return [
      ...[1, 8, 32].map((clients, i) => ({
        what: `records a second through the API, ${clients} at once`,
        value: through[i]!.toFixed(0),
        beside: `checked, replayed, on disk when answered; ${(through[i]! / bare).toFixed(2)} of bare inserts, ${(through[i]! / own).toFixed(2)} of rows with their indexes`,
      })),
      {
        what: 'bare better-sqlite3 inserts a second, WAL, synchronous FULL',
        value: bare.toFixed(0),
        beside: 'the same bytes',
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
