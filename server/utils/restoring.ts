import { chmodSync, copyFileSync, existsSync, rmSync } from 'node:fs'
import type { PeopleFrom } from '../../shared/people'
import { eraseIn, scrub } from '../db/erasing'
import { connect, type Db, migrate, versionOf } from '../db/open'
import { backupNamed, putReady, readyFor, SIDES, troubleWith } from './backups'

/** Laying a backup ready to be put in a database's place, without what has been ended or erased since it was made. */

type Row = Readonly<Record<string, string | number | null>>

/** What opens doors. Sessions are not in it: they all end. */
const DOORS = ['person', 'person_learner', 'invitation', 'sign_in'] as const

/** The rows of some tables of a database that may be of an earlier version; null where it is too damaged to say. */
function rowsOf(path: string, tables: readonly string[]): ReadonlyMap<string, readonly Row[]> | null {
  if (!existsSync(path)) return null
  try {
    const db = connect(path, { fileMustExist: true, readonly: true })
    try {
      versionOf(db, path)
      const has = db.prepare<[string], number>("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = ?").pluck()
      return new Map(tables.map((t) => [t, has.get(t) ? db.prepare<[], Row>(`SELECT * FROM ${t}`).all() : []]))
    } finally {
      db.close()
    }
  } catch {
    return null
  }
}

/** Puts rows into a table that may know more columns than they have, or fewer. */
function put(db: Db, table: string, rows: readonly Row[]): void {
  const known = db.prepare<[string], string>('SELECT name FROM pragma_table_info(?)').pluck().all(table)
  for (const row of rows) {
    const columns = Object.keys(row).filter((c) => known.includes(c))
    db.prepare(
      `INSERT OR REPLACE INTO ${table} (${columns.join(', ')}) VALUES (${columns.map((c) => `@${c}`).join(', ')})`,
    ).run(row)
  }
}

/**
 * Lays a backup ready to be put in a database's place: looked through, brought up to date, and without what has been erased since it was
 * made. People, passphrases and codes stay as they are now, unless they are to come from the backup; the log stays as it is now in either
 * case, and every session ends. Where what is there now is too damaged to be read, people come from the backup, without codes.
 * @returns where people came from. @throws Error that says what is wrong with the copy, or of the disk.
 */
export function readyToPutBack(path: string, name: string, people: PeopleFrom = 'now'): PeopleFrom {
  const copy = backupNamed(path, name)
  if (copy === undefined) throw new Error('There is no backup of that name.')
  const trouble = troubleWith(copy)
  if (trouble) throw new Error(trouble)
  const next = readyFor(path)
  const clear = (): void => SIDES.forEach((side) => rmSync(next + side, { force: true }))
  clear()
  try {
    copyFileSync(copy, next)
    chmodSync(next, 0o600)
    const db = connect(next)
    try {
      migrate(db, versionOf(db, next))
      return carryOver(db, path, people)
    } finally {
      db.close()
    }
  } catch (error) {
    clear()
    throw error
  }
}

function carryOver(db: Db, path: string, people: PeopleFrom): PeopleFrom {
  const now = rowsOf(path, [...DOORS, 'happening', 'erased'])
  const rows = (table: string): readonly Row[] => now?.get(table) ?? []
  const from = now === null ? 'backup' : people
  for (const row of rows('erased')) if (row.kind === 'learner') eraseIn(db, String(row.id))
  db.transaction(() => {
    put(db, 'erased', rows('erased'))
    db.exec('DELETE FROM session')
    if (now === null) db.exec('DELETE FROM invitation')
    else {
      db.exec('DELETE FROM happening')
      put(db, 'happening', rows('happening'))
    }
    if (from === 'backup') return
    const there = new Set(db.prepare<[], string>('SELECT id FROM learner').pluck().all())
    db.exec('DELETE FROM invitation; DELETE FROM sign_in; DELETE FROM person_learner; DELETE FROM person')
    for (const table of DOORS)
      put(
        db,
        table,
        rows(table).filter((row) => table !== 'person_learner' || there.has(String(row.learner_id))),
      )
  })()
  scrub(db)
  return from
}

/**
 * Puts a backup in a database's place, which must be closed; see `readyToPutBack`. It goes into place in one step.
 * @throws Error that says what is wrong with the copy; nothing is changed then.
 */
export function putBack(path: string, name: string, people: PeopleFrom = 'now'): PeopleFrom {
  const from = readyToPutBack(path, name, people)
  putReady(path)
  return from
}
