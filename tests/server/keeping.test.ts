import { spawnSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { chmodSync, existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { hold } from '../../server/db/hold'
import { MIGRATIONS } from '../../server/db/migrations'
import { answerFor, sentenceFor } from '../../server/db/trouble'
import { backupsOf, listBackups, makeBackup } from '../../server/utils/backups'
import { putBack } from '../../server/utils/restoring'
import { daily, goesBefore, setKeeping } from '../../server/utils/keeping'
import { makeStore } from '../../server/utils/store'
import { KEEPING_AT_FIRST } from '../../shared/people'
import { dayIn, zoneHere } from '../../shared/days'
import { serve } from '../browser/world'
import { killed, WORKS } from './killing'
import { all, demo, folder } from './seeded'

/** All of a database as text, to be compared. */
const dump = (path: string): string => {
  const db = new Database(path, { readonly: true })
  const tables = db
    .prepare<[], string>("SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name")
    .pluck()
    .all()
  const text = JSON.stringify(tables.map((t) => [t, db.prepare(`SELECT * FROM ${t}`).all()]))
  db.close()
  return text
}

describe('backups', () => {
  test('a backup has the last commit in it, is whole, and nobody else may read it', async () => {
    const store = demo()
    const note = 'written a moment before'
    store.save({ ...all(store)[0]!, outcome: { right: true, help: 'shown', note } }, [])
    const made = await makeBackup(store.path, 14)
    const copy = join(backupsOf(store.path), made.name)
    expect(dump(copy)).toBe(dump(store.path))
    expect(readFileSync(copy).includes(note)).toBe(true)
    expect([statSync(copy).mode & 0o777, statSync(store.path).mode & 0o777]).toEqual([0o600, 0o600])
    expect(statSync(backupsOf(store.path)).mode & 0o777).toBe(0o700)
  })

  test('so many are kept, the latest', async () => {
    const store = demo()
    const days = [1, 2, 3, 4, 5].map((d) => new Date(Date.UTC(2026, 10, d)))
    for (const day of days) await makeBackup(store.path, 3, day)
    expect(listBackups(store.path).map((b) => b.at)).toEqual(
      days
        .reverse()
        .slice(0, 3)
        .map((d) => d.toISOString()),
    )
    expect(readdirSync(backupsOf(store.path))).toHaveLength(3)
  })

  test('what is put back is what was backed up, in everything', async () => {
    const store = demo()
    const { name } = await makeBackup(store.path, 14)
    const before = dump(store.path)
    const [first, second] = all(store)
    store.remove(first!.id)
    store.save({ ...second!, outcome: { ...second!.outcome, note: 'changed since' } }, [])
    store.db.close()
    putBack(store.path, name)
    expect(dump(store.path)).toBe(before)
    expect(all(makeStore(store.path))).toContainEqual(first)
  })

  test('a damaged copy is not put back, and nothing is changed', async () => {
    const store = demo()
    const { name } = await makeBackup(store.path, 14)
    const copy = join(backupsOf(store.path), name)
    const bytes = readFileSync(copy)
    bytes.fill(7, 4096, 12_000)
    writeFileSync(copy, bytes)
    store.db.close()
    const before = dump(store.path)
    expect(() => putBack(store.path, name)).toThrow(/damaged/)
    expect(() => putBack(store.path, '../sett.db')).toThrow('no backup of that name')
    writeFileSync(copy, 'no database at all')
    expect(() => putBack(store.path, name)).toThrow('is no database')
    expect(dump(store.path)).toBe(before)
  })

  test('once a day one is made by itself', async () => {
    const store = demo()
    const at = new Date('2026-11-24T09:00:00Z')
    await daily(() => store, at)
    await daily(() => store, new Date(at.getTime() + 20 * 3_600_000))
    expect(listBackups(store.path)).toHaveLength(1)
    await daily(() => store, new Date(at.getTime() + 25 * 3_600_000))
    expect(listBackups(store.path)).toHaveLength(2)
  })

  test('before a migration a copy is made with the last commit, which may lie in the log yet', () => {
    const at = join(folder(), 'sett.db')
    const old = new Database(at)
    old.pragma('journal_mode = WAL')
    for (const sql of MIGRATIONS.slice(0, 5)) old.exec(sql)
    old.pragma('user_version = 5')
    old.prepare("INSERT INTO learner (id, code_name, position) VALUES (?, 'Wren', 1)").run(randomUUID())
    // A reader keeps the log from being folded into the file, as another window would.
    const reader = new Database(at, { readonly: true })
    reader.exec('BEGIN')
    reader.prepare('SELECT count(*) FROM learner').get()
    old.prepare("INSERT INTO learner (id, code_name, position) VALUES (?, 'Élan', 2)").run(randomUUID())
    const store = makeStore(at)
    expect(store.learnerNamed('élan')?.codeName).toBe('Élan')
    const copy = new Database(`${at}.before-v6`, { readonly: true })
    expect(copy.prepare('SELECT code_name FROM learner ORDER BY position').pluck().all()).toEqual(['Wren', 'Élan'])
    expect(copy.pragma('user_version', { simple: true })).toBe(5)
    // Opened again nothing is migrated again, and no other copy is made.
    makeStore(at).db.close()
    expect(existsSync(`${at}.before-v8`)).toBe(false)
  })
})

describe('how long things are kept', () => {
  test('by the rule, shown before, and from a day after it was set', async () => {
    const store = demo()
    const now = new Date('2027-02-20T12:00:00Z')
    const keeping = { ...KEEPING_AT_FIRST, recordMonths: 3 }
    const before = goesBefore(keeping, '2027-02-20')!
    expect(before).toBe('2026-11-20')
    const due = all(store).filter((r) => dayIn(zoneHere(), r.startedAt) < before)
    expect([store.countBefore(before), due.length > 0]).toEqual([due.length, true])
    const count = all(store).length
    setKeeping(store, keeping, now.getTime())
    await daily(() => store, new Date(now.getTime() + 3_600_000))
    expect(all(store)).toHaveLength(count)
    const later = new Date(now.getTime() + 25 * 3_600_000)
    const stay = all(store).filter((r) => dayIn(zoneHere(), r.startedAt) >= goesBefore(keeping, '2027-02-21')!)
    await daily(() => store, later)
    expect(all(store)).toEqual(stay)
    expect(stay.length).toBeLessThan(count)
    expect(store.happenings(1e9, 5)[0]).toMatchObject({ who: 'Sett', what: 'removed records by the rule' })
    expect(goesBefore(KEEPING_AT_FIRST, '2027-02-20')).toBeNull()
  })
})

describe('at the start', () => {
  const start = (data: string) =>
    spawnSync(process.execPath, ['.output/server/index.mjs'], {
      env: { ...process.env, HOST: '127.0.0.1', PORT: '0', SETT_DATA: data },
      timeout: 20_000,
      encoding: 'utf8',
    })
  const says = (data: string): string => {
    const { status, stderr } = start(data)
    expect(status).toBe(1)
    expect(stderr.trim().split('\n')).toHaveLength(1)
    return stderr.trim()
  }

  test('one process a folder: a second one says who has it, and a killed one lets go', async () => {
    const app = await serve({ demo: true })
    expect(says(app.data)).toMatch(
      /is running on .* already: process \d+, since 20\d\d-.*Use that one, or stop it first\.$/,
    )
    await app.kill()
    const again = await serve({ data: app.data })
    await again.stop()
  })

  test('what is no database, damaged, or of a later Sett is told in one sentence, and left alone', () => {
    const at = folder()
    writeFileSync(join(at, 'sett.db'), 'no database, only words. '.repeat(200))
    expect(says(at)).toContain('is no database. Restore a backup')
    const damaged = folder()
    const store = demo(join(damaged, 'sett.db'))
    store.db.pragma('wal_checkpoint(TRUNCATE)')
    store.db.close()
    const bytes = readFileSync(join(damaged, 'sett.db'))
    bytes.fill(9, 8192, 30_000)
    writeFileSync(join(damaged, 'sett.db'), bytes)
    expect(says(damaged)).toContain('is damaged. Nothing was changed. Restore a backup')
    expect(readFileSync(join(damaged, 'sett.db')).equals(bytes)).toBe(true)
    const later = folder()
    demo(join(later, 'sett.db')).db.pragma('user_version = 99')
    expect(says(later)).toContain('made by a later Sett (version 99)')
  })

  test('a folder is held by one at a time', () => {
    const at = folder()
    const first = hold(at)
    expect(() => hold(at)).toThrow(`process ${process.pid}`)
    first.release()
    hold(at).release()
    expect(statSync(join(at, 'sett.lock')).mode & 0o777).toBe(0o600)
  })

  test('trouble of SQLite and of the disk has its sentence, and never says saved', () => {
    const code = (name: string) => Object.assign(new Error('x'), { code: name })
    expect(sentenceFor(code('SQLITE_FULL'), '/d')).toContain('full')
    expect(sentenceFor(code('EROFS'), '/d')).toContain('read-only')
    expect(sentenceFor(code('SQLITE_BUSY_SNAPSHOT'), '/d')).toContain('Another program')
    expect(sentenceFor(new Error('other'), '/d')).toBeUndefined()
    expect(answerFor(code('SQLITE_FULL'))).toEqual({ status: 507, detail: expect.stringContaining('nothing was kept') })
    expect(answerFor(code('SQLITE_CORRUPT_INDEX'))?.detail).toContain('damaged')
    expect(answerFor(new Error('other'))).toBeUndefined()
  })

  test('a disk that is full while saving is told, and what was there stays', async () => {
    const app = await serve({ demo: true })
    const before = dump(join(app.data, 'sett.db'))
    await app.stop().catch(() => undefined)
    expect(before).toContain('Wren')
    const store = demo()
    const count = all(store).length
    store.db.pragma(`max_page_count = ${store.db.pragma('page_count', { simple: true }) as number}`)
    const fat = { ...all(store)[0]!, outcome: { right: true, help: 'shown' as const, note: 'n'.repeat(2000) } }
    const saving = (): void => {
      for (let i = 0; i < 200; i++) store.save({ ...fat, id: randomUUID() }, [])
    }
    expect(saving).toThrow(/full/)
    expect(store.db.pragma('integrity_check', { simple: true })).toBe('ok')
    expect(all(store).length).toBeGreaterThanOrEqual(count)
  })
})

test.each(WORKS)('killed while %s ten times: what was told is there, and the database is whole', async (work) => {
  await expect(killed(work, 10)).resolves.toBeUndefined()
})

test('a file in a folder that cannot be written is told so', () => {
  if (process.getuid?.() === 0)
    return expect(sentenceFor(Object.assign(new Error(), { code: 'EACCES' }), '/d')).toContain('read-only')
  const at = folder()
  chmodSync(at, 0o500)
  expect(() => makeStore(join(at, 'sett.db'))).toThrow('read-only')
})
