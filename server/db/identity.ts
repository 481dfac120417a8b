import { closeSync, existsSync, openSync, readSync, statSync } from 'node:fs'
import type Database from 'better-sqlite3'
import { MIGRATIONS } from './migrations'

/** How Sett knows its own database files, before anything is written to one. */

/** `Sett` in four letters: what a database of Sett says of itself (SQLite's application_id). */
export const APPLICATION_ID = 0x53657474

/** What a database is to Sett: a new one without anything in it, one of Sett's own of some version, or somebody else's. */
export type Identity =
  | { readonly is: 'new' }
  | { readonly is: 'own'; readonly version: number }
  | { readonly is: 'foreign' | 'without-version' }

/** Tables that every Sett has had, each with a column that tells it from others of that name. */
const ALWAYS_THERE = [
  ['learner', 'code_name'],
  ['record', 'is_right'],
  ['classroom', 'words'],
] as const

/** What an open database is. Only reads. */
export function identityOf(db: Database.Database): Identity {
  const id = db.pragma('application_id', { simple: true }) as number
  const version = db.pragma('user_version', { simple: true }) as number
  const any = db.prepare('SELECT count(*) FROM sqlite_master').pluck().get() as number
  if (id !== 0 && id !== APPLICATION_ID) return { is: 'foreign' }
  if (any === 0) return version === 0 ? { is: 'new' } : { is: 'foreign' }
  const has = db.prepare<[string, string], number>('SELECT count(*) FROM pragma_table_info(?) WHERE name = ?').pluck()
  const own = ALWAYS_THERE.every(([table, column]) => has.get(table, column) === 1)
  if (!own) return { is: 'foreign' }
  if (version === 0) return { is: 'without-version' }
  // Before it had a name of its own, Sett was known by its tables alone; a later one always says its name.
  return id === APPLICATION_ID || version <= MIGRATIONS.length ? { is: 'own', version } : { is: 'foreign' }
}

const HEAD = 'SQLite format 3\u0000'

/** The first bytes of a file; fewer where it is shorter. */
function beginningOf(path: string, most: number): Buffer {
  const file = openSync(path, 'r')
  try {
    const bytes = Buffer.alloc(most)
    return bytes.subarray(0, readSync(file, bytes, 0, most, 0))
  } finally {
    closeSync(file)
  }
}

/** Whether a file begins as a database of SQLite does. */
export const isDatabase = (path: string): boolean => beginningOf(path, 16).toString('latin1') === HEAD

/** Whether the write-ahead file beside a database has pages of another size, so that it belongs to another one. */
export function hasForeignLog(path: string): boolean {
  const log = `${path}-wal`
  if (!existsSync(log) || statSync(log).size < 32) return false
  const size = beginningOf(path, 18).readUInt16BE(16)
  const [pages, logged] = [size === 1 ? 65_536 : size, beginningOf(log, 12).readUInt32BE(8)]
  return pages !== logged
}
