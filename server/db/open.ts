import { chmodSync, existsSync, mkdirSync, statSync } from 'node:fs'
import { dirname } from 'node:path'
import Database from 'better-sqlite3'
import { folded } from '../../shared/schemas'
import { MIGRATIONS } from './migrations'
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

/** What every connection to Sett's data has set: durable when a write returns, and nothing left of what was deleted. */
export function connect(path: string, options: Database.Options = {}): Db {
  const db = new Database(path, options)
  db.pragma('busy_timeout = 5000')
  db.pragma('foreign_keys = ON')
  db.pragma('secure_delete = ON')
  db.function('fold', { deterministic: true }, (name: unknown) => folded(String(name)))
  return db
}

/** Which migrations a database has had. @throws StartTrouble where a later Sett made it. */
export function versionOf(db: Db, path: string): number {
  const version = db.pragma('user_version', { simple: true }) as number
  if (version > MIGRATIONS.length)
    throw new StartTrouble(
      `The database at ${path} was made by a later Sett (version ${version}). Start that one, or choose another folder with SETT_DATA.`,
    )
  return version
}

/** Brings the tables up to date, each migration whole or not at all. */
export function migrate(db: Db, from: number): void {
  for (const [i, sql] of MIGRATIONS.entries()) {
    if (i < from) continue
    db.transaction(() => {
      db.exec(sql)
      db.pragma(`user_version = ${i + 1}`)
    })()
  }
}

/**
 * Opens the database at a path, making the folder, looking it through and bringing the tables up to date. Before a migration of an
 * existing file a copy is put beside it by SQLite itself, with the last commit in it, so that an older Sett can be gone back to. One
 * that has been `looked` through just now is not looked through again.
 * @throws StartTrouble in plain words where it is damaged, made by a later Sett, read-only, or there is no room.
 */
export function openDb(path: string, looked = false): Db {
  return plainly(path, () => {
    mkdirSync(dirname(path), { recursive: true, mode: 0o700 })
    const existed = existsSync(path) && statSync(path).size > 0
    const db = connect(path)
    try {
      chmodSync(path, 0o600)
      db.pragma('journal_mode = WAL')
      db.pragma('synchronous = FULL')
      const version = versionOf(db, path)
      if (existed && !looked && db.pragma('quick_check(1)', { simple: true }) !== 'ok')
        throw new StartTrouble(
          `The database at ${path} is damaged. Nothing was changed. Restore a backup: npm run restore.`,
        )
      if (version < MIGRATIONS.length) {
        if (existed && version > 0) copyOf(db, `${path}.before-v${version + 1}`)
        migrate(db, version)
      }
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
  db.prepare('VACUUM INTO ?').run(path)
  chmodSync(path, 0o600)
}
