import { Refusal, reopen, type WorkRecord } from '../../core/index'
import {
  FILE_VERSION,
  fileSchema,
  type FiledRecord,
  type RecordFile,
  type SavedRecord,
  type TakenIn,
} from '../../shared/schemas'
import { codeNames, enrolling, readAs } from './files'
import type { FieldError } from './problem'
import type { Store } from './store'

/** Checks by replaying it that a record can be worked as it says; undefined where it can, else what is wrong. */
export function unsound(work: WorkRecord): FieldError | undefined {
  try {
    reopen(work)
    return undefined
  } catch (error) {
    if (!(error instanceof Refusal)) throw error
    const inMoves = /^Move \d/.test(error.reason)
    return { pointer: inMoves ? `/moves/${error.span?.at ?? 0}` : '/problem', detail: error.message }
  }
}

/** Reads a file of records; each of them is replayed. Refuses with a sentence for each trouble. */
export const readFile = (json: unknown): RecordFile =>
  readAs(
    {
      format: 'sett-records',
      called: 'Sett records',
      schema: fileSchema,
      unsound: ({ records }) =>
        records.flatMap((r, i) => {
          const trouble = unsound(r.work)
          return trouble ? [{ pointer: `/records/${i}/work${trouble.pointer}`, detail: trouble.detail }] : []
        }),
    },
    json,
  )

/** Takes a file in: all of it or nothing. Learners are found by code name, or added. A record already here stays as it is. */
export function takeIn(store: Store, file: RecordFile): TakenIn {
  return store.db.transaction(() => {
    const learners = enrolling(store)
    const fresh = file.records.filter((r) => !store.record(r.id))
    store.saveAll(fresh.map(({ learner, ...r }): SavedRecord => ({ ...r, learnerId: learners.idOf(learner) })))
    return { added: fresh.length, already: file.records.length - fresh.length, learners: learners.added() }
  })()
}

/** Records as a file, the learners by code name. */
export function toFile(store: Store, records: readonly SavedRecord[]): RecordFile {
  const names = codeNames(store)
  const filed = records.map(({ learnerId, ...r }): FiledRecord => ({ ...r, learner: names.get(learnerId)! }))
  return { format: 'sett-records', version: FILE_VERSION, records: filed }
}
