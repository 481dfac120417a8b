import { chmodSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
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

/** Who holds a folder, as far as it is written there. */
function said(holder: string): string {
  try {
    const { pid, since } = JSON.parse(readFileSync(holder, 'utf8')) as { pid: number; since: string }
    return `: process ${pid}, since ${since}`
  } catch {
    return ''
  }
}
