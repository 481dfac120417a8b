import { readdirSync, statSync } from 'node:fs'
import { basename, dirname, join } from 'node:path'
import { isDatabase } from '../db/identity'

/** What lies in a database's folder and below it besides itself. */
export interface Besides {
  /** Every other database file, whatever it is called: backups, copies from before a migration, copies that somebody put there. */
  readonly copies: readonly { readonly path: string; readonly bytes: number }[]
  /** Files that Sett does not know, by name: what is in them nobody can say. */
  readonly others: readonly string[]
}

/** Sett's own files in which no learner is: the lock, who holds it, and what SQLite keeps beside a database while it is open. */
const isOwn = (name: string): boolean => /^sett\.(?:lock|holder)(?:-\w+)?$|-(?:wal|shm|journal)$/.test(name)

export function copiesOf(path: string): Besides {
  const files = readdirSync(dirname(path), { recursive: true, withFileTypes: true })
    .filter((file) => !file.isDirectory())
    .map((file) => join(file.parentPath, file.name))
    .filter((file) => basename(file) !== basename(path) || dirname(file) !== dirname(path))
    .filter((file) => !isOwn(basename(file)))
    .sort()
  const kinds = files.map((file) => ({ file, is: kindOf(file) }))
  return {
    copies: kinds.flatMap(({ file, is }) => (is === 'database' ? [{ path: file, bytes: statSync(file).size }] : [])),
    others: kinds.flatMap(({ file, is }) => (is === 'other' ? [basename(file)] : [])),
  }
}

function kindOf(file: string): 'database' | 'empty' | 'other' {
  try {
    if (statSync(file).size === 0) return 'empty'
    return isDatabase(file) ? 'database' : 'other'
  } catch {
    return 'other'
  }
}
