import { moveDays } from '../db/days'
import type { BackupKind, PeopleFrom } from '../../shared/people'
import { eraseFromCopy } from '../db/erasing'
import { connect, type Db } from '../db/open'
import type { Seen } from '../db/trials'
import { makeBackup, tidyUp, troubleInUse, troubleWith } from '../utils/backups'
import { readyToPutBack } from '../utils/restoring'
import { storeOn } from '../utils/store'
import { type CheckedFile, takeInAnswers, takeInRecords, takeInTrials } from '../utils/takingIn'

/**
 * Work on whole database files. At the size of a school each takes seconds, so that the server has it done beside itself
 * (`server/utils/aside.ts`): what goes in and comes out is plain, and every task opens its file anew.
 */

/** Works on a database of its own connection. */
function on<T>(path: string, work: (db: Db) => T): T {
  const db = connect(path, { fileMustExist: true })
  try {
    return work(db)
  } finally {
    db.close()
  }
}

export const TASKS = {
  /** Makes a backup, looks it through, and takes away the oldest of its kind beyond `keep`. `at` in milliseconds. @throws Error where the copy is not whole. */
  backUp: (t: { path: string; keep: number; at: number; kind: BackupKind }) =>
    makeBackup(t.path, t.keep, new Date(t.at), t.kind),
  /** Takes away what was broken off. */
  tidyUp: (t: { path: string }) => tidyUp(t.path),
  /** What is wrong with the database in use; undefined where it is whole. */
  lookThroughInUse: (t: { path: string }) => troubleInUse(t.path),
  /** What is wrong with a copy; undefined where it is whole. */
  lookThrough: (t: { path: string }) => troubleWith(t.path),
  /** Lays a backup ready to be put in a database's place; where people come from. @throws Error that says what is wrong with it. */
  makeReady: (t: { path: string; name: string; people: PeopleFrom }) => readyToPutBack(t.path, t.name, t.people),
  /** Erases a learner from the database in use, and writes its file anew. `at` in milliseconds. */
  erase: (t: { path: string; id: string; at: number }) => on(t.path, (db) => storeOn(db, t.path).erase(t.id, t.at)),
  /** Erases learners from a copy: whether any of them was in it, or whether it could not be read. Files that are not Sett's stay as they are. */
  eraseFromCopy: (t: { path: string; ids: readonly string[] }) => eraseFromCopy(t.path, t.ids),
  /** Take in a file that has been checked: all of it or nothing. */
  takeInRecords: (t: { path: string; file: CheckedFile<readonly string[] | null>; groups: readonly string[] }) =>
    on(t.path, (db) => takeInRecords(storeOn(db, t.path), t.file, t.groups)),
  takeInTrials: (t: { path: string; file: CheckedFile<Seen>; groups: readonly string[] }) =>
    on(t.path, (db) => takeInTrials(storeOn(db, t.path), t.file, t.groups)),
  takeInAnswers: (t: { path: string; file: CheckedFile<boolean>; groups: readonly string[] }) =>
    on(t.path, (db) => takeInAnswers(storeOn(db, t.path), t.file, t.groups)),
  /** Tells every day anew in another time zone. */
  moveDays: (t: { path: string; zone: string }) => on(t.path, (db) => moveDays(db, t.zone)),
  /** Takes away what is from before a day; how much it was. */
  removeBefore: (t: { path: string; before: string }) =>
    on(t.path, (db) => {
      const store = storeOn(db, t.path)
      return (
        store.removeBefore(t.before) +
        store.removeTrialsBefore(t.before) +
        store.removeMarkingsBefore(t.before) +
        store.removeLessonsBefore(t.before)
      )
    }),
}

export type Task = keyof typeof TASKS
export type Given<K extends Task> = Parameters<(typeof TASKS)[K]>[0]
export type Made<K extends Task> = Awaited<ReturnType<(typeof TASKS)[K]>>

/** Does a task by its name. */
export const doTask = async <K extends Task>(task: K, given: Given<K>): Promise<Made<K>> =>
  (await TASKS[task](given as never)) as Made<K>

/** What a thread says at its end: what came of its task, or how it failed. */
export type Said =
  { readonly made: unknown } | { readonly failed: { readonly message: string; readonly code?: string } }
