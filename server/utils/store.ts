import { homedir } from 'node:os'
import { join } from 'node:path'
import { classroomTable } from '../db/classroom'
import { courseTable } from '../db/courses'
import { erasingTable } from '../db/erasing'
import { tidyUp } from './backups'
import { hold, type Hold } from '../db/hold'
import { listingTable } from '../db/listing'
import { lessonTable } from '../db/lessons'
import { markingTable } from '../db/markings'
import { momentTable } from '../db/moments'
import { notchTable } from '../db/notches'
import { openDb, zoneOf, type Db } from '../db/open'
import { peopleTable } from '../db/people'
import { progressTable } from '../db/progress'
import { recordTable } from '../db/records'
import { printTable } from '../db/prints'
import { recordingTable } from '../db/recordings'
import { rehearsalTable } from '../db/rehearsals'
import { settingTable } from '../db/settings'
import { toldTable } from '../db/told'
import { triesTable } from '../db/tries'
import { trialTable } from '../db/trials'

/** Where a person's data lies: SETT_DATA, or a folder of their own. */
export const dataFolder = (): string => process.env.SETT_DATA || join(homedir(), '.sett')

/** The database in a data folder. */
export const databaseIn = (folder: string): string => join(folder, 'sett.db')

const tables = (db: Db) => ({
  ...classroomTable(db),
  ...recordTable(db),
  ...trialTable(db),
  ...progressTable(db),
  ...listingTable(db),
  ...notchTable(db),
  ...courseTable(db),
  ...lessonTable(db),
  ...markingTable(db),
  ...momentTable(db),
  ...printTable(db),
  ...recordingTable(db),
  ...rehearsalTable(db),
  ...erasingTable(db),
  ...settingTable(db),
  ...peopleTable(db),
  ...toldTable(db),
  ...triesTable(db),
})

export type Store = ReturnType<typeof tables> & { readonly db: Db; readonly path: string }

export function makeStore(path: string, looked = false): Store {
  return storeOn(openDb(path, looked), path)
}

/** What can be asked of a database that is open. */
export function storeOn(db: Db, path: string): Store {
  zoneOf(db)
  return { db, path, ...tables(db) }
}

let held: Hold | undefined
let store: Store | undefined

/** The one store of this process, opened at first use; its folder is held until the process ends. */
export function useStore(looked = false): Store {
  if (!held) {
    held = hold(dataFolder())
    tidyUp(databaseIn(dataFolder()))
  }
  store ??= makeStore(databaseIn(dataFolder()), looked)
  return store
}

/** Closes the database, for good or for another to be put in its place; the folder stays held. */
export function closeStore(): void {
  store?.db.close()
  store = undefined
}

/** Closes the database and lets go of its folder. */
export function letGo(): void {
  closeStore()
  held?.release()
  held = undefined
}
