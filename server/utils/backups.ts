import { chmodSync, existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs'
import { basename, dirname, join } from 'node:path'
import type { Backup, BackupKind, MadeBackup } from '../../shared/people'
import { putInPlace, sync } from '../db/durable'
import { connect, StartTrouble, versionOf } from '../db/open'
import { SUMMED } from '../db/sums'
import { isFull, sentenceFor } from '../db/trouble'

/** Copies of a database, made and checked by SQLite itself while it is in use, dated, so many kept of each kind. */

const NAME = /^sett-(\d{4}-\d\d-\d\dT)(\d\d)(\d\d)(\d\d)(\d{3})Z(?:-(hand|before))?\.db$/

/** More pages than any database has. */
const MOST_PAGES = 2 ** 31 - 1

/** A database file itself, and what SQLite has beside it. */
export const SIDES = ['', '-wal', '-shm', '-journal'] as const

/** Where a database's backups lie. */
export const backupsOf = (path: string): string => join(dirname(path), 'backups')

const nameAt = (at: Date, kind: BackupKind): string =>
  `sett-${at.toISOString().replace(/[:.]/g, '')}${kind === 'daily' ? '' : `-${kind}`}.db`

/** The backups there are, the latest first. */
export function listBackups(path: string): readonly Backup[] {
  const folder = backupsOf(path)
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .flatMap((name): Backup[] => {
      const [, day, h, m, s, ms, kind = 'daily'] = NAME.exec(name) ?? []
      if (!day) return []
      const bytes = statSync(join(folder, name)).size
      return [{ name, kind: kind as BackupKind, at: `${day}${h}:${m}:${s}.${ms}Z`, bytes }]
    })
    .sort((a, b) => (a.at < b.at ? 1 : -1))
}

/** The file of a backup; undefined where there is none of that name. */
export function backupNamed(path: string, name: string): string | undefined {
  const file = join(backupsOf(path), basename(name))
  return NAME.test(name) && existsSync(file) ? file : undefined
}

/** How many records and trials of a copy are not what was written, by their checksums; 0 in one from before there were any. */
function damagedIn(path: string): number {
  const db = connect(path, { fileMustExist: true, readonly: true })
  try {
    const has = db.prepare("SELECT count(*) FROM pragma_table_info('record') WHERE name = 'body_sum'").pluck().get()
    if (has === 0) return 0
    const counted = (table: string): string => `(SELECT count(*) FROM ${table} WHERE body_sum <> sum_of(${SUMMED}))`
    return db
      .prepare<[], number>(`SELECT ${counted('record')} + ${counted('trial')}`)
      .pluck()
      .get()!
  } finally {
    db.close()
    clearSides(path)
  }
}

/** Takes away what only looking at a copy has left beside it; a log with something in it belongs to the copy and stays. */
function clearSides(path: string): void {
  if (!existsSync(`${path}-wal`) || statSync(`${path}-wal`).size > 0) return
  for (const side of SIDES.slice(1)) rmSync(path + side, { force: true })
}

/** What is wrong with a copy; undefined where it is whole and this Sett reads it. @throws Error where there is no room to look at it. */
export function troubleWith(path: string): string | undefined {
  try {
    const db = connect(path, { fileMustExist: true, readonly: true })
    try {
      versionOf(db, path)
      const whole = db.pragma('integrity_check(1)', { simple: true }) === 'ok'
      return whole ? undefined : `The copy ${basename(path)} is damaged.`
    } finally {
      db.close()
      clearSides(path)
    }
  } catch (error) {
    if (error instanceof StartTrouble) return error.message
    if (isFull(error)) throw error
    return sentenceFor(error, path) ?? `The copy ${basename(path)} cannot be read.`
  }
}

/** What is wrong with the database in use, looked through while it is used; undefined where it is whole. */
export function troubleInUse(path: string): string | undefined {
  const db = connect(path, { fileMustExist: true, readonly: true })
  try {
    return db.pragma('quick_check(1)', { simple: true }) === 'ok' ? undefined : `The database at ${path} is damaged.`
  } finally {
    db.close()
  }
}

/** A name for a file that is not finished; it says whose it is, so that nobody takes another's away. */
const unfinishedFor = (file: string): string => `${file}.${process.pid}.part`

/**
 * Makes a backup of a database that may be in use, and takes away the oldest of its kind beyond `keep`. What was not finished is not left. A
 * record with a flipped byte is in it as it is, and counted: all the others must not go without a backup because of it.
 * @throws Error where the copy is not whole, or there is no room.
 */
export async function makeBackup(
  path: string,
  keep: number,
  at = new Date(),
  kind: BackupKind = 'daily',
): Promise<MadeBackup> {
  const folder = backupsOf(path)
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const name = nameAt(at, kind)
  const unfinished = unfinishedFor(join(folder, name))
  let damaged: number
  try {
    const db = connect(path, { fileMustExist: true })
    try {
      // In one go after the first few pages: between two parts somebody may write, and then it would begin anew.
      await db.backup(unfinished, { progress: () => MOST_PAGES })
    } finally {
      db.close()
    }
    chmodSync(unfinished, 0o600)
    const trouble = troubleWith(unfinished)
    if (trouble) throw new Error(trouble)
    damaged = damagedIn(unfinished)
    for (const side of SIDES.slice(1)) rmSync(unfinished + side, { force: true })
    putInPlace(unfinished, join(folder, name))
  } catch (error) {
    for (const side of SIDES) rmSync(unfinished + side, { force: true })
    throw error
  }
  const ofKind = listBackups(path).filter((b) => b.kind === kind)
  for (const old of ofKind.slice(keep)) rmSync(join(folder, old.name), { force: true })
  return { ...ofKind.find((b) => b.name === name)!, damaged }
}

/** Where a backup lies ready to be put in a database's place. */
export const readyFor = (path: string): string => `${path}.next`

/** Puts what was laid ready in a database's place, which must be closed. */
export function putReady(path: string): void {
  const next = readyFor(path)
  for (const side of SIDES.slice(1)) rmSync(path + side, { force: true })
  putInPlace(next, path)
  for (const side of SIDES.slice(1)) rmSync(next + side, { force: true })
}

/** Whether a process still runs; only one that does may finish what it has begun. */
function isRunning(pid: number): boolean {
  if (pid === process.pid) return false
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
}

/** Takes away what a backup or a restore has left behind that was broken off; how many files it was. Nothing else may be at it. */
export function tidyUp(path: string): number {
  const next = basename(readyFor(path))
  const isLeft = (name: string): boolean => {
    const [, pid] = /(?:\.(\d+))?\.part(?:-wal|-shm|-journal)?$/.exec(name) ?? [undefined, undefined]
    if (/\.part(?:-wal|-shm|-journal)?$/.test(name)) return pid === undefined || !isRunning(Number(pid))
    return SIDES.some((side) => name === next + side)
  }
  let gone = 0
  for (const folder of [dirname(path), backupsOf(path)]) {
    if (!existsSync(folder)) continue
    for (const name of readdirSync(folder))
      if (isLeft(name)) {
        rmSync(join(folder, name), { force: true })
        gone += 1
      }
    if (gone > 0) sync(folder)
  }
  return gone
}
