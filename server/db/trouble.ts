import { Flipped } from './sums'

/** What SQLite and the system say of a database, in plain sentences. */

const codeOf = (error: unknown): string => {
  const { code } = (error ?? {}) as { code?: unknown }
  return typeof code === 'string' ? code : ''
}

/** What SQLite and the system call it; without room SQLite cannot even share its index of the log between readers. */
const FULL = ['SQLITE_FULL', 'SQLITE_IOERR_SHMSIZE', 'SQLITE_IOERR_SHMMAP', 'ENOSPC', 'EDQUOT']
/** Whether something failed because there is no room on the disk. */
export const isFull = (error: unknown): boolean => FULL.includes(codeOf(error))

/** What is wrong with the database at a path, for whoever starts Sett; undefined for what is no trouble of data. */
export function sentenceFor(error: unknown, path: string): string | undefined {
  const code = codeOf(error)
  if (code === 'SQLITE_NOTADB') return `The file at ${path} is no database. Restore a backup: npm run restore.`
  if (code.startsWith('SQLITE_CORRUPT'))
    return `The database at ${path} is damaged. Nothing was changed. Restore a backup: npm run restore.`
  if (code.startsWith('SQLITE_READONLY') || ['EACCES', 'EPERM', 'EROFS'].includes(code))
    return `The data at ${path} cannot be written: it, or its folder, is read-only for you.`
  if (isFull(error)) return `The disk with ${path} is full. Make room, and start again.`
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED'))
    return `Another program holds the database at ${path}. Close it, and start again.`
  if (code.startsWith('SQLITE_CANTOPEN') || code === 'ENOTDIR' || code === 'EISDIR')
    return `The database at ${path} cannot be opened: something else lies there, or its folder is missing.`
  return undefined
}

/** Why a request could not be kept, with the status for it; undefined for what is no trouble of data. */
export function answerFor(error: unknown): { readonly status: number; readonly detail: string } | undefined {
  const code = codeOf(error)
  if (error instanceof Flipped)
    return { status: 500, detail: 'What is kept here has been damaged on the disk. Restore a backup, or delete it.' }
  if (isFull(error)) return { status: 507, detail: 'The disk is full, so nothing was kept. Make room, and save again.' }
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED'))
    return { status: 503, detail: 'Another program holds the data just now, so nothing was kept. Try again.' }
  if (code.startsWith('SQLITE_READONLY'))
    return { status: 500, detail: 'The data cannot be written, so nothing was kept.' }
  if (code.startsWith('SQLITE_CORRUPT') || code === 'SQLITE_NOTADB' || code.startsWith('SQLITE_IOERR'))
    return { status: 500, detail: 'The database is damaged, so nothing was kept. Restore a backup.' }
  return undefined
}
