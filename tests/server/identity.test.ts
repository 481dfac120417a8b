import { randomUUID } from 'node:crypto'
import { chmodSync, copyFileSync, mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import Database from 'better-sqlite3'
import { hold } from '../../server/db/hold'
import { APPLICATION_ID } from '../../server/db/identity'
import { makeStore } from '../../server/utils/store'
import { all, demo, folder } from './seeded'

describe('files that are not as Sett left them', () => {
  const opened = (path: string): string => {
    try {
      makeStore(path).db.close()
      return ''
    } catch (error) {
      return (error as Error).message
    }
  }

  test('a stranger’s database is told in one sentence, and never written to', () => {
    const stranger = (make: (db: Database.Database) => void): string => {
      const path = join(folder(), 'sett.db')
      const db = new Database(path)
      make(db)
      db.close()
      return path
    }
    const strangers = [
      stranger((db) => db.exec('CREATE TABLE songs (id INTEGER PRIMARY KEY, title TEXT)')),
      stranger((db) => {
        db.exec('CREATE TABLE songs (id INTEGER PRIMARY KEY)')
        db.pragma('user_version = 3')
      }),
      stranger((db) => {
        db.pragma('application_id = 252006674')
        db.pragma('journal_mode = WAL')
        db.exec(
          'CREATE TABLE learner (id TEXT, code_name TEXT); CREATE TABLE record (is_right INTEGER); CREATE TABLE classroom (words TEXT)',
        )
      }),
      stranger((db) => db.pragma('user_version = 5')),
    ]
    for (const path of strangers) {
      const before = readFileSync(path)
      expect(opened(path)).toMatch(/is not Sett’s, and stays as it is\. Choose another folder with SETT_DATA\.$/)
      expect(readFileSync(path).equals(before)).toBe(true)
    }
  })

  test('one of Sett’s own that says version nought, or a log of another database, is told and left alone', () => {
    const store = demo()
    store.db.pragma('user_version = 0')
    store.db.close()
    const before = readFileSync(store.path)
    expect(opened(store.path)).toContain('has lost its version number')
    expect(readFileSync(store.path).equals(before)).toBe(true)

    const own = demo()
    own.db.close()
    const other = new Database(join(folder(), 'other.db'))
    other.pragma('page_size = 8192')
    other.pragma('journal_mode = WAL')
    other.exec("CREATE TABLE songs (title TEXT); INSERT INTO songs VALUES ('one')")
    copyFileSync(`${other.name}-wal`, `${own.path}-wal`)
    const bytes = readFileSync(own.path)
    expect(opened(own.path)).toContain('do not belong together. If that file came from elsewhere, move it away')
    expect(readFileSync(own.path).equals(bytes)).toBe(true)

    const third = demo()
    third.db.close()
    const same = new Database(join(folder(), 'same.db'))
    same.pragma('journal_mode = WAL')
    same.exec('CREATE TABLE songs (title TEXT)')
    const put = same.prepare('INSERT INTO songs VALUES (?)')
    for (let i = 0; i < 400; i++) put.run('la'.repeat(60))
    copyFileSync(`${same.name}-wal`, `${third.path}-wal`)
    const kept = readFileSync(third.path)
    expect(opened(third.path)).not.toBe('')
    expect(readFileSync(third.path).equals(kept)).toBe(true)
  })

  test('a new database says whose it is, and what is deleted from it is overwritten', () => {
    const store = demo()
    expect(store.db.pragma('application_id', { simple: true })).toBe(APPLICATION_ID)
    expect(store.db.pragma('secure_delete', { simple: true })).toBe(1)
    const note = 'counted the tea-lights under the table'
    const record = { ...all(store)[0]!, id: randomUUID(), outcome: { right: true, help: 'shown' as const, note } }
    store.save(record, [])
    store.db.pragma('wal_checkpoint(TRUNCATE)')
    expect(readFileSync(store.path).includes(note)).toBe(true)
    store.remove(record.id)
    store.db.pragma('wal_checkpoint(TRUNCATE)')
    expect(readFileSync(store.path).includes(note)).toBe(false)
  })

  test('a data folder that others can read is closed; one with other things in it is only told of', () => {
    const said = jest.spyOn(console, 'error').mockImplementation(() => {})
    try {
      const store = demo()
      store.db.close()
      const own = dirname(store.path)
      mkdirSync(join(own, 'backups'), { recursive: true })
      for (const path of [own, join(own, 'backups')]) chmodSync(path, 0o755)
      hold(own).release()
      expect([own, join(own, 'backups')].map((path) => statSync(path).mode & 0o777)).toEqual([0o700, 0o700])
      const shared = folder()
      writeFileSync(join(shared, 'letters.txt'), '')
      chmodSync(shared, 0o755)
      hold(shared).release()
      expect(statSync(shared).mode & 0o777).toBe(0o755)
      const lines = said.mock.calls.map(([line]) => String(line))
      expect(lines.filter((l) => l.includes('from now on only you can'))).toHaveLength(2)
      expect(lines.at(-1)).toMatch(/^Others can read .* Close it to them, or choose another folder with SETT_DATA\.$/)
    } finally {
      said.mockRestore()
    }
  })
})
