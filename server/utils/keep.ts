import { randomUUID } from 'node:crypto'
import { reopen, type WorkRecord } from '../../core/record/record'
import { Refusal } from '../../core/refusal'
import { FILE_VERSION, fileSchema, type FiledRecord, type RecordFile, type SavedRecord } from '../../shared/schemas'
import { fieldErrors, refuse, type FieldError } from './problem'
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

/** Reads a file's JSON. Refuses with a sentence of its own for each trouble; nothing is kept then. */
export function readFile(json: unknown): RecordFile {
  const head = (json ?? {}) as { format?: unknown; version?: unknown }
  if (typeof head !== 'object' || head.format !== 'sett-records')
    refuse(422, 'This is not a file of Sett records.', [
      { pointer: '/format', detail: 'A file of records says "sett-records" here.' },
    ])
  if (typeof head.version === 'number' && head.version > FILE_VERSION)
    refuse(
      422,
      `This file was written by a later Sett (version ${head.version}). This Sett reads version ${FILE_VERSION}.`,
      [{ pointer: '/version', detail: `At most ${FILE_VERSION}.` }],
    )
  const parsed = fileSchema.safeParse(json)
  if (!parsed.success) {
    const errors = fieldErrors(parsed.error)
    refuse(422, `The file is not as it should be: ${errors[0]?.detail ?? ''} Nothing was taken in.`, errors)
  }
  const errors = parsed.data.records.flatMap((r, i) => {
    const trouble = unsound(r.work)
    return trouble ? [{ pointer: `/records/${i}/work${trouble.pointer}`, detail: trouble.detail }] : []
  })
  if (errors.length > 0) refuse(422, `${errors[0]!.detail} Nothing was taken in.`, errors)
  return parsed.data
}

/** Takes a file in: all of it or nothing. Learners are found by code name, or added. A record already here stays as it is. */
export function takeIn(store: Store, file: RecordFile): { added: number; already: number; learners: number } {
  return store.db.transaction(() => {
    let learners = 0
    const idOf = (name: string): string => {
      const known = store.learnerNamed(name)
      if (known) return known.id
      const id = randomUUID()
      store.addLearner({ id, codeName: name })
      learners += 1
      return id
    }
    const fresh = file.records.filter((r) => !store.record(r.id))
    store.saveAll(fresh.map(({ learner, ...r }): SavedRecord => ({ ...r, learnerId: idOf(learner) })))
    return { added: fresh.length, already: file.records.length - fresh.length, learners }
  })()
}

/** Records as a file, the learners by code name. */
export function toFile(store: Store, records: readonly SavedRecord[]): RecordFile {
  const names = new Map(store.learners().map((l) => [l.id, l.codeName]))
  const filed = records.map(({ learnerId, ...r }): FiledRecord => ({ ...r, learner: names.get(learnerId)! }))
  return { format: 'sett-records', version: FILE_VERSION, records: filed }
}
