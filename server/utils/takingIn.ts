import type { FiledRecord, TakenIn } from '../../shared/schemas'
import { enrolling } from './files'
import type { Store } from './store'

/** A file whose records have been checked, each as JSON by itself (so that many take little room), with the slips seen in it. */
export interface CheckedFile {
  readonly records: readonly string[]
  readonly slips: readonly (readonly string[])[]
}

/**
 * Takes a checked file in: all of it or nothing. Learners are found by code name, or added. A record already here stays as it is; one that
 * was erased stays away.
 */
export function takeIn(store: Store, { records, slips }: CheckedFile): TakenIn {
  return store.db.transaction(() => {
    const learners = enrolling(store)
    let added = 0
    for (const [i, text] of records.entries()) {
      const { learner, ...record } = JSON.parse(text) as FiledRecord
      if (store.record(record.id) || store.erasedAt(record.id) !== undefined) continue
      store.save({ ...record, learnerId: learners.idOf(learner) }, slips[i]!)
      added += 1
    }
    return { added, already: records.length - added, learners: learners.added() }
  })()
}
