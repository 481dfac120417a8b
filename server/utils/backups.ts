import { chmodSync, copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { basename, dirname, join } from 'node:path'
import type { Backup } from '../../shared/people'
import { eraseIn, scrub } from '../db/erasing'
import { connect, StartTrouble, versionOf } from '../db/open'
import { sentenceFor } from '../db/trouble'

/** Copies of a database, made and checked by SQLite itself while it is in use, dated, so many kept. */

const NAME = /^sett-(\d{4}-\d\d-\d\dT)(\d\d)(\d\d)(\d\d)(\d{3})Z\.db$/

/** More pages than any database has. */
const MOST_PAGES = 2 ** 31 - 1

/** Where a database's backups lie. */
export const backupsOf = (path: string): string => join(dirname(path), 'backups')

const nameAt = (at: Date): string => `sett-${at.toISOString().replace(/[:.]/g, '')}.db`

/** The backups there are, the latest first. */
export function listBackups(path: string): readonly Backup[] {
  const folder = backupsOf(path)
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .flatMap((name): Backup[] => {
      const [, day, h, m, s, ms] = NAME.exec(name) ?? []
      return day ? [{ name, at: `${day}${h}:${m}:${s}.${ms}Z`, bytes: statSync(join(folder, name)).size }] : []
    })
    .sort((a, b) => (a.name < b.name ? 1 : -1))
}

/** What is wrong with a copy; undefined where it is whole and this Sett reads it. */
export function troubleWith(path: string): string | undefined {
  try {
    const db = connect(path, { fileMustExist: true, readonly: true })
    try {
      versionOf(db, path)
      return db.pragma('integrity_check(1)', { simple: true }) === 'ok'
        ? undefined
        : `The copy ${basename(path)} is damaged.`
    } finally {
      db.close()
    }
  } catch (error) {
    if (error instanceof StartTrouble) return error.message
    return sentenceFor(error, path) ?? `The copy ${basename(path)} cannot be read.`
  }
}

/** Makes a backup of a database that may be in use, and takes away the oldest beyond `keep`. @throws Error where the copy is not whole. */
export async function makeBackup(path: string, keep: number, at = new Date()): Promise<Backup> {
  const folder = backupsOf(path)
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const name = nameAt(at)
  const unfinished = join(folder, `${name}.part`)
  const db = connect(path, { fileMustExist: true })
  try {
    // In one go after the first few pages: between two parts somebody may write, and then it would begin anew.
    await db.backup(unfinished, { progress: () => MOST_PAGES })
  } finally {
    db.close()
  }
  chmodSync(unfinished, 0o600)
  const trouble = troubleWith(unfinished)
  if (trouble) {
    rmSync(unfinished, { force: true })
    throw new Error(trouble)
  }
  for (const side of ['-wal', '-shm', '-journal']) rmSync(unfinished + side, { force: true })
  renameSync(unfinished, join(folder, name))
  for (const old of listBackups(path).slice(keep)) rmSync(join(folder, old.name), { force: true })
  return listBackups(path).find((b) => b.name === name)!
}

/** A database file itself, and what SQLite has beside it. */
const SIDES = ['', '-wal', '-shm']

/** Where a backup lies ready to be put in a database's place. */
const readyFor = (path: string): string => `${path}.next`

/**
 * Lays a backup ready to be put in a database's place: looked through, and without what has been erased since it was made.
 * @throws Error that says what is wrong with it.
 */
export function readyToPutBack(path: string, name: string): void {
  const copy = join(backupsOf(path), basename(name))
  if (!NAME.test(basename(name)) || !existsSync(copy)) throw new Error('There is no backup of that name.')
  const trouble = troubleWith(copy)
  if (trouble) throw new Error(trouble)
  const erased = erasedIn(path)
  const next = readyFor(path)
  for (const side of SIDES) rmSync(next + side, { force: true })
  copyFileSync(copy, next)
  chmodSync(next, 0o600)
  const db = connect(next)
  const knows = db.prepare("SELECT 1 FROM sqlite_master WHERE name = 'erased'").get() !== undefined
  const put = knows
    ? db.prepare('INSERT OR IGNORE INTO erased (id, kind, erased_at) VALUES (@id, @kind, @erased_at)')
    : null
  for (const row of erased) {
    if (row.kind === 'learner') eraseIn(db, row.id)
    put?.run(row)
  }
  scrub(db)
  db.close()
}

/** Puts what was laid ready in a database's place, which must be closed. */
export function putReady(path: string): void {
  const next = readyFor(path)
  for (const side of SIDES.slice(1)) rmSync(path + side, { force: true })
  renameSync(next, path)
  for (const side of SIDES.slice(1)) rmSync(next + side, { force: true })
}

/**
 * Puts a backup in a database's place, which must be closed. The copy is looked through first, and goes into place in one step. What
 * was erased in the meantime stays erased. @throws Error that says what is wrong with the copy; nothing is changed then.
 */
export function putBack(path: string, name: string): void {
  readyToPutBack(path, name)
  putReady(path)
}

/** What a database remembers to have been erased; nothing where it is too damaged to say. */
function erasedIn(path: string): readonly { readonly id: string; readonly kind: string; readonly erased_at: number }[] {
  try {
    const db = connect(path, { fileMustExist: true, readonly: true })
    try {
      return db
        .prepare<[], { id: string; kind: string; erased_at: number }>('SELECT id, kind, erased_at FROM erased')
        .all()
    } finally {
      db.close()
    }
  } catch {
    return []
  }
}

/** Every copy beside a database: backups, and those made before a migration. */
export const copiesOf = (path: string): readonly string[] => [
  ...readdirSync(dirname(path))
    .filter((f) => f.startsWith(`${basename(path)}.before-v`) && /\d$/.test(f))
    .map((f) => join(dirname(path), f)),
  ...listBackups(path).map((b) => join(backupsOf(path), b.name)),
]
