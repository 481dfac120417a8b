import { homedir } from 'node:os'
import { join } from 'node:path'
import { classroomTable } from '../db/classroom'
import { notchTable } from '../db/notches'
import { openDb, type Db } from '../db/open'
import { recordTable } from '../db/records'
import { rehearsalTable } from '../db/rehearsals'

/** Where a person's data lies: SETT_DATA, or a folder of their own. */
export const dataFolder = (): string => process.env.SETT_DATA || join(homedir(), '.sett')

export type Store = ReturnType<typeof classroomTable> &
  ReturnType<typeof recordTable> &
  ReturnType<typeof notchTable> &
  ReturnType<typeof rehearsalTable> & { readonly db: Db }

export function makeStore(path: string): Store {
  const db = openDb(path)
  return { db, ...classroomTable(db), ...recordTable(db), ...notchTable(db), ...rehearsalTable(db) }
}

let store: Store | undefined

/** The one store of this process, opened at first use. */
export function useStore(): Store {
  store ??= makeStore(join(dataFolder(), 'sett.db'))
  return store
}

export function closeStore(): void {
  store?.db.close()
  store = undefined
}
