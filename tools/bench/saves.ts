import { randomUUID } from 'node:crypto'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { serve } from '../../tests/browser/world'
import type { Figure } from './all'

const COUNT = 300

/** Records saved a second through the API, beside bare inserts of the same text at the same durability. */
export async function savesPerSecond(): Promise<Figure[]> {
  const app = await serve({ demo: true })
  try {
    const [first] = (await (await fetch(`${app.url}/api/records`)).json()) as { id: string }[]
    const record = (await (await fetch(`${app.url}/api/records/${first!.id}`)).json()) as object
    const bodies = Array.from({ length: COUNT }, () => JSON.stringify({ ...record, id: randomUUID() }))
    let start = performance.now()
    for (const body of bodies)
      await fetch(`${app.url}/api/records`, { method: 'POST', headers: { 'content-type': 'application/json' }, body })
    const through = COUNT / ((performance.now() - start) / 1000)

    const db = new Database(join(mkdtempSync(join(tmpdir(), 'sett-bare-')), 'bare.db'))
    db.pragma('journal_mode = WAL')
    db.pragma('synchronous = FULL')
    db.exec('CREATE TABLE record (id TEXT PRIMARY KEY, body TEXT NOT NULL) STRICT')
    const insert = db.prepare('INSERT INTO record VALUES (?, ?)')
    start = performance.now()
    for (const body of bodies) insert.run(randomUUID(), body)
    const bare = COUNT / ((performance.now() - start) / 1000)
    return [
      {
        what: 'records a second through the API (checked and replayed)',
        value: through.toFixed(0),
        beside: `one after another, each on disk when answered`,
      },
      {
        what: 'bare better-sqlite3 inserts a second, WAL, synchronous FULL',
        value: bare.toFixed(0),
        beside: `${(bare / through).toFixed(1)} times as many`,
      },
    ]
  } finally {
    await app.stop()
  }
}
