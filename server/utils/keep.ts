import { FILE_VERSION, filedSchema, fileSchema, type FiledRecord, type SavedRecord } from '../../shared/schemas'
import type { Damaged } from '../db/sums'
import { codeNames, damagedPart, readFile, type IsMine } from './files'
import type { FieldError } from './problem'
import type { Long } from './progress'
import { isTrouble, replayed } from './replaying'
import type { Store } from './store'
import type { CheckedFile } from './takingIn'

/** Reads a file of records; each of them is replayed. Refuses as `readFile` does. */
export const readRecords = (chunks: Buffer[], long?: Long, isMine?: IsMine): Promise<CheckedFile<readonly string[]>> =>
  readFile(
    {
      format: 'sett-records',
      called: 'Sett records',
      list: 'records',
      schema: fileSchema,
      thing: filedSchema,
      find: async ({ work }): Promise<readonly string[] | FieldError> => {
        const found = await replayed(work)
        return isTrouble(found) ? { ...found, pointer: `/work${found.pointer}` } : found.slips
      },
    },
    chunks,
    long,
    isMine,
  )

/**
 * Records as a file, the learners by code name; written a record at a time, so that it may be of any length. Those that cannot be read any
 * more are named at its end.
 */
export function* fileOf(store: Store, records: (damaged: Damaged) => Iterable<SavedRecord>): Generator<string> {
  const names = codeNames(store)
  yield `{"format":"sett-records","version":${FILE_VERSION},"records":[`
  let first = true
  const damaged: string[] = []
  for (const { learnerId, ...r } of records((id) => damaged.push(id))) {
    const filed: FiledRecord = { ...r, learner: names.get(learnerId)! }
    yield (first ? '' : ',') + JSON.stringify(filed)
    first = false
  }
  yield `]${damagedPart(damaged)}}`
}
