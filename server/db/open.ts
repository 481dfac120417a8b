import { chmodSync, existsSync, mkdirSync, rmSync, statSync } from 'node:fs'
import { dirname } from 'node:path'
import Database from 'better-sqlite3'
import { dayIn, isZone, zoneHere } from '../../shared/days'
import { folded } from '../../shared/schemas'
import { putInPlace, sync } from './durable'
import { APPLICATION_ID, hasForeignLog, identityOf, isDatabase } from './identity'
import { MIGRATIONS } from './migrations'
import { sumOf } from './sums'
import { sentenceFor } from './trouble'

export type Db = Database.Database

/** Something about the data that a person has to know before Sett can start: one plain sentence, and no stack. */
export class StartTrouble extends Error {
  override readonly name = 'StartTrouble'
}

/** Runs a step of starting; what SQLite or the system says of it becomes a plain sentence. */
function plainly<T>(path: string, step: () => T): T {
  try {
    return step()
  } catch (error) {
    if (error instanceof StartTrouble) throw error
    const sentence = sentenceFor(error, path)
    throw sentence ? new StartTrouble(sentence, { cause: error }) : error
  }
}

const zones = new WeakMap<Db, string>()

/** The school's time zone; until one is set, that of this computer. */
export function zoneOf(db: Db): string {
  const known = zones.get(db)
  if (known) return known
  const has = db.prepare("SELECT 1 FROM sqlite_master WHERE name = 'setting'").get()
  const kept =
    has === undefined
      ? undefined
      : db.prepare<[], string>("SELECT value FROM setting WHERE name = 'zone'").pluck().get()
  const zone = kept ? (JSON.parse(kept) as string) : ''
  zones.set(db, isZone(zone) ? zone : zoneHere())
  return zones.get(db)!
}
/** Has the days of a connection told in another zone from now on. */
export const useZone = (db: Db, zone: string): void => void zones.set(db, zone)

/** What every connection to Sett's data has set: durable when a write returns, and nothing left of what was deleted. */
export function connect(path: string, options: Database.Options = {}): Db {
  const db = new Database(path, options)
  db.pragma('busy_timeout = 5000')
  db.pragma('foreign_keys = ON')
  db.pragma('secure_delete = ON')
  db.function('fold', { deterministic: true }, (name: unknown) => folded(String(name)))
  db.function('school_day', (at: unknown) => dayIn(zones.get(db) ?? zoneHere(), at as number | string))
  db.function('sum_of', { deterministic: true, varargs: true }, (...columns: unknown[]) => sumOf(columns as string[]))
  return db
}

/** Which migrations a database has had. @throws StartTrouble where it is not Sett's, or a later Sett made it. */
export function versionOf(db: Db, path: string): number {
  const identity = identityOf(db)
  if (identity.is === 'foreign')
    throw new StartTrouble(
      `The database at ${path} is not Sett’s, and stays as it is. Choose another folder with SETT_DATA.`,
    )
  if (identity.is === 'without-version')
    throw new StartTrouble(
      `The database at ${path} has lost its version number, so Sett leaves it as it is. Restore a backup: npm run restore.`,
    )
  const version = identity.is === 'own' ? identity.version : 0
  if (version > MIGRATIONS.length)
    throw new StartTrouble(
      `The database at ${path} was made by a later Sett (version ${version}). Start that one, or choose another folder with SETT_DATA.`,
    )
  return version
}

/** Brings the tables up to date, each migration whole or not at all. */
export function migrate(db: Db, from: number): void {
  zoneOf(db)
  for (const [i, sql] of MIGRATIONS.entries()) {
    if (i < from) continue
    db.transaction(() => {
      db.exec(sql)
      db.pragma(`application_id = ${APPLICATION_ID}`)
      db.pragma(`user_version = ${i + 1}`)
    })()
  }
  // The days that were told are told in this zone, whatever computer opens the database next.
  if (from < MIGRATIONS.length)
    db.prepare("INSERT OR IGNORE INTO setting (name, value) VALUES ('zone', json_quote(?))").run(zoneOf(db))
}

/** Pages of the write-ahead log after which it is folded into the file: 32 MB, so that pages which change again and again are written once. */
export const FOLDED_AT = 8000

/** From this size on a database is looked through while it is in use already, in bytes: below it, that takes a second or so. */
const LONG_TO_LOOK_THROUGH = 256_000_000

/** Whether a database is so large that it is looked through beside its use. */
export const isLarge = (path: string): boolean => existsSync(path) && statSync(path).size >= LONG_TO_LOOK_THROUGH

/** Tables without which nobody gets anywhere; they are small, and looked at before anything is written. */
const HEAD_TABLES = ['classroom', 'learner', 'setting', 'person', 'session', 'erased']

/** Looks at a database that is there already, before anything is written to it; the version it has. @throws StartTrouble */
function lookAt(path: string, whole: boolean): number {
  if (!isDatabase(path))
    throw new StartTrouble(`The file at ${path} is no database. Restore a backup: npm run restore.`)
  const log = existsSync(`${path}-wal`) && statSync(`${path}-wal`).size > 0
  const damaged = new StartTrouble(
    log
      ? `The database at ${path} and the file beside it, ${path}-wal, do not belong together. If that file came from elsewhere, move it away and start again; else restore a backup: npm run restore. Nothing was changed.`
      : `The database at ${path} is damaged. Nothing was changed. Restore a backup: npm run restore.`,
  )
  if (hasForeignLog(path)) throw damaged
  const db = connect(path, { fileMustExist: true, readonly: true })
  try {
    const version = versionOf(db, path)
    const there = db.prepare<[], string>("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all()
    const parts = whole ? ['1'] : HEAD_TABLES.filter((t) => there.includes(t)).map((t) => `'${t}'`)
    for (const part of parts) if (db.pragma(`quick_check(${part})`, { simple: true }) !== 'ok') throw damaged
    return version
  } catch (error) {
    if (log && String((error as { code?: unknown }).code).startsWith('SQLITE_CORRUPT')) throw damaged
    throw error
  } finally {
    db.close()
  }
}

/**
 * Opens the database at a path, making the folder, looking it through and bringing the tables up to date. One that is there is looked at
 * before anything is written to it: whether it is Sett's, whole (a large one: whole at its head), and not later than this Sett. Before a
 * migration of an existing file a copy is put beside it by SQLite itself, with the last commit in it, so that an older Sett can be gone
 * back to. One that has been `looked` through just now is not looked through again.
 * @throws StartTrouble in plain words where it is damaged, not Sett's, made by a later Sett, read-only, or there is no room.
 */
export function openDb(path: string, looked = false): Db {
  return plainly(path, () => {
    mkdirSync(dirname(path), { recursive: true, mode: 0o700 })
    const existed = existsSync(path) && statSync(path).size > 0
    const version = existed ? lookAt(path, !looked && !isLarge(path)) : 0
    const db = connect(path)
    try {
      chmodSync(path, 0o600)
      db.pragma('journal_mode = WAL')
      db.pragma('synchronous = FULL')
      db.pragma(`wal_autocheckpoint = ${FOLDED_AT}`)
      if (version < MIGRATIONS.length) {
        if (existed && version > 0) copyOf(db, `${path}.before-v${version + 1}`)
        migrate(db, version)
      }
      if (!existed) sync(dirname(path))
      zoneOf(db)
      return db
    } catch (error) {
      db.close()
      throw error
    }
  })
}

/** A whole copy of a database as it is now, the last commit included; a copy of that name that is there already stays. */
function copyOf(db: Db, path: string): void {
  if (existsSync(path)) return
  const unfinished = `${path}.part`
  rmSync(unfinished, { force: true })
  db.prepare('VACUUM INTO ?').run(unfinished)
  chmodSync(unfinished, 0o600)
  putInPlace(unfinished, path)
}
