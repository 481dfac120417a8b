import { FILE_VERSION, filedSchema, fileSchema, type FiledRecord, type SavedRecord } from '../../shared/schemas'
import { checkHead, codeNames, readAs } from './files'
import { thingsIn } from './fileStream'
import { fieldErrors, type FieldError } from './problem'
import { SILENT, type Long } from './progress'
import { isTrouble, replayed } from './replaying'
import type { Store } from './store'
import type { CheckedFile } from './takingIn'

/** As many troubles of a file as are told at once. */
const MOST_ERRORS = 20

const KIND = { format: 'sett-records', called: 'Sett records', schema: fileSchema } as const

/**
 * Reads a file of records from its bytes, which are let go of; each record is checked and replayed. Refuses with a sentence for each
 * trouble.
 */
export async function readFile(chunks: Buffer[], long: Long = SILENT): Promise<CheckedFile> {
  const of = chunks.reduce((sum, chunk) => sum + chunk.length, 0)
  const head: Record<string, unknown> = {}
  const errors: FieldError[] = []
  const records: string[] = []
  const slips: (readonly string[])[] = []
  let i = 0
  for (const { thing, read } of thingsIn(chunks, 'records', head)) {
    // Sett writes what a file is before its list; one that says it elsewhere is looked at again at the end.
    if (i === 0 && 'format' in head) checkHead(KIND, head)
    const parsed = filedSchema.safeParse(thing)
    await long.step(read, of)
    if (!parsed.success) errors.push(...fieldErrors(parsed.error, `/records/${i}`))
    else {
      const made = await replayed(parsed.data.work)
      if (isTrouble(made)) errors.push({ pointer: `/records/${i}/work${made.pointer}`, detail: made.detail })
      else {
        records.push(JSON.stringify(parsed.data))
        slips.push(made.slips)
      }
    }
    i += 1
    if (errors.length >= MOST_ERRORS) break
  }
  // Where it was left off early, the rest of what it says is unknown, and the troubles are what counts.
  const whole = errors.length < MOST_ERRORS ? head : { ...head, records: [] }
  await readAs({ ...KIND, unsound: () => errors }, whole)
  return { records, slips }
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
