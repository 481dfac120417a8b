import { copyFileSync, existsSync, mkdirSync } from 'node:fs'
import { dirname } from 'node:path'
import Database from 'better-sqlite3'
import { MIGRATIONS } from './migrations'

export type Db = Database.Database

/**
 * Opens the database at a path, making the folder and bringing the tables up to date. Before a migration of an existing
 * file a copy is put beside it, so that an older Sett can still be gone back to.
 */
export function openDb(path: string): Db {
  mkdirSync(dirname(path), { recursive: true })
  const existed = existsSync(path)
  const db = new Database(path)
  db.pragma('journal_mode = WAL')
  db.pragma('synchronous = FULL')
  db.pragma('foreign_keys = ON')
  db.pragma('busy_timeout = 5000')
  const version = db.pragma('user_version', { simple: true }) as number
  if (version > MIGRATIONS.length) {
    db.close()
    throw new Error(
      `The database at ${path} was made by a later Sett (version ${version}). Start that one, or choose another folder with SETT_DATA.`,
    )
  }
  if (version < MIGRATIONS.length) {
    if (existed && version > 0) {
      db.pragma('wal_checkpoint(TRUNCATE)')
      copyFileSync(path, `${path}.before-v${version + 1}`)
    }
    for (const [i, sql] of MIGRATIONS.entries()) {
      if (i < version) continue
      db.transaction(() => {
        db.exec(sql)
        db.pragma(`user_version = ${i + 1}`)
      })()
    }
  }
  return db
}
