import { chmodSync, existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { StartTrouble } from './open'

/** A data folder held by one process. */
export interface Hold {
  release(): void
}

/**
 * Takes a data folder for this process alone. The lock is SQLite's own on a small file, which the system lets go of however the
 * process ends; who holds it is written beside it. @throws StartTrouble that says who has it.
 */
export function hold(folder: string): Hold {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  keepToOneself(folder)
  const [lock, holder] = [join(folder, 'sett.lock'), join(folder, 'sett.holder')]
  const db = new Database(lock, { timeout: 0 })
  try {
    chmodSync(lock, 0o600)
    db.exec('BEGIN EXCLUSIVE')
  } catch (error) {
    db.close()
    if (!String((error as { code?: string }).code).startsWith('SQLITE_BUSY')) throw error
    throw new StartTrouble(`Sett is running on ${folder} already${said(holder)}. Use that one, or stop it first.`)
  }
  writeFileSync(holder, JSON.stringify({ pid: process.pid, since: new Date().toISOString() }), { mode: 0o600 })
  return { release: () => db.close() }
}

/** What lies in a data folder: a folder with other things in it is not Sett's to close. */
const OWN = /^(?:sett\..*|backups)$/

/** Closes a data folder, and the backups in it, to everybody else; where it is not Sett's alone, says that others can read it. */
function keepToOneself(folder: string): void {
  for (const path of [folder, join(folder, 'backups')]) {
    if (!existsSync(path) || (statSync(path).mode & 0o077) === 0) continue
    const mine =
      statSync(path).uid === process.getuid?.() && (path !== folder || readdirSync(path).every((f) => OWN.test(f)))
    if (mine) chmodSync(path, 0o700)
    console.error(
      mine
        ? `Others could read ${path}; from now on only you can.`
        : `Others can read ${path}, where what is kept of learners lies. Close it to them, or choose another folder with SETT_DATA.`,
    )
  }
}

/** Who holds a folder, as far as it is written there. */
function said(holder: string): string {
  try {
    const { pid, since } = JSON.parse(readFileSync(holder, 'utf8')) as { pid: number; since: string }
    return `: process ${pid}, since ${since}`
  } catch {
    return ''
  }
}
