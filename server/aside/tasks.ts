import { eraseIn, scrub } from '../db/erasing'
import { connect, type Db } from '../db/open'
import type { Seen } from '../db/trials'
import { makeBackup, readyToPutBack, troubleWith } from '../utils/backups'
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
  /** Makes a backup, looks it through, and takes away the oldest beyond `keep`. `at` in milliseconds. @throws Error where the copy is not whole. */
  backUp: (t: { path: string; keep: number; at: number }) => makeBackup(t.path, t.keep, new Date(t.at)),
  /** What is wrong with a copy; undefined where it is whole. */
  lookThrough: (t: { path: string }) => troubleWith(t.path),
  /** Lays a backup ready to be put in a database's place. @throws Error that says what is wrong with it. */
  makeReady: (t: { path: string; name: string }) => readyToPutBack(t.path, t.name),
  /** Erases a learner from the database in use, and writes its file anew. `at` in milliseconds. */
  erase: (t: { path: string; id: string; at: number }) => on(t.path, (db) => storeOn(db, t.path).erase(t.id, t.at)),
  /** Erases learners from a copy; whether any of them was in it. */
  eraseFromCopy: (t: { path: string; ids: readonly string[] }) =>
    on(t.path, (db) => {
      const has = db.prepare<[string], number>('SELECT 1 FROM learner WHERE id = ?').pluck()
      const there = t.ids.filter((id) => has.get(id) === 1)
      for (const id of there) eraseIn(db, id)
      if (there.length > 0) scrub(db)
      return there.length > 0
    }),
  /** Take in a file that has been checked: all of it or nothing. */
  takeInRecords: (t: { path: string; file: CheckedFile<readonly string[]> }) =>
    on(t.path, (db) => takeInRecords(storeOn(db, t.path), t.file)),
  takeInTrials: (t: { path: string; file: CheckedFile<Seen> }) =>
    on(t.path, (db) => takeInTrials(storeOn(db, t.path), t.file)),
  takeInAnswers: (t: { path: string; file: CheckedFile<boolean> }) =>
    on(t.path, (db) => takeInAnswers(storeOn(db, t.path), t.file)),
  /** Takes away what began before a time; how much it was. */
  removeBefore: (t: { path: string; before: string }) =>
    on(t.path, (db) => {
      const store = storeOn(db, t.path)
      return (
        store.removeBefore(t.before) +
        store.removeTrialsBefore(t.before) +
        store.removeMarkingsBefore(t.before) +
        store.removeLessonsBefore(t.before.slice(0, 10))
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
