import {
  FILE_VERSION,
  filedSchema,
  fileSchema,
  type FiledRecord,
  type RecordFile,
  type SavedRecord,
  type TakenIn,
} from '../../shared/schemas'
import { codeNames, enrolling, readAs } from './files'
import { fieldErrors, type FieldError } from './problem'
import { SILENT, type Long } from './progress'
import { isTrouble, replayed } from './replaying'
import type { Store } from './store'

/** As many troubles of a file as are told at once. */
const MOST_ERRORS = 20

/** A file that has been read, with the slips seen in each record. */
interface ReadFile {
  readonly file: RecordFile
  readonly slips: readonly (readonly string[])[]
}

/** Reads a file of records; each of them is replayed. Refuses with a sentence for each trouble. */
export async function readFile(json: unknown, long: Long = SILENT): Promise<ReadFile> {
  const slips: (readonly string[])[] = []
  const read: FiledRecord[] = []
  const { format, version } = await readAs(
    {
      format: 'sett-records',
      called: 'Sett records',
      schema: fileSchema,
      unsound: async ({ records }) => {
        const errors: FieldError[] = []
        for (const [i, json] of records.entries()) {
          const parsed = filedSchema.safeParse(json)
          await long.step(i + 1, records.length)
          if (!parsed.success) errors.push(...fieldErrors(parsed.error, `/records/${i}`))
          else {
            const made = await replayed(parsed.data.work)
            if (isTrouble(made)) errors.push({ pointer: `/records/${i}/work${made.pointer}`, detail: made.detail })
            else {
              read.push(parsed.data)
              slips.push(made.slips)
            }
          }
          if (errors.length >= MOST_ERRORS) break
        }
        return errors
      },
    },
    json,
  )
  return { file: { format, version, records: read }, slips }
}

/** Takes a file in: all of it or nothing. Learners are found by code name, or added. A record already here stays as it is; one that was erased stays away. */
export function takeIn(store: Store, { file, slips }: ReadFile): TakenIn {
  return store.db.transaction(() => {
    const learners = enrolling(store)
    const fresh = file.records.flatMap(({ learner, ...r }, i) =>
      store.record(r.id) || store.erasedAt(r.id) !== undefined
        ? []
        : [{ record: { ...r, learnerId: learners.idOf(learner) }, slips: slips[i]! }],
    )
    for (const { record, slips } of fresh) store.save(record, slips)
    return { added: fresh.length, already: file.records.length - fresh.length, learners: learners.added() }
  })()
}

/** Records as a file, the learners by code name; written a record at a time, so that it may be of any length. */
export function* fileOf(store: Store, records: Iterable<SavedRecord>): Generator<string> {
  const names = codeNames(store)
  yield `{"format":"sett-records","version":${FILE_VERSION},"records":[`
  let first = true
  for (const { learnerId, ...r } of records) {
    const filed: FiledRecord = { ...r, learner: names.get(learnerId)! }
    yield (first ? '' : ',') + JSON.stringify(filed)
    first = false
  }
  yield ']}'
}
