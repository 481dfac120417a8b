import type { SavedRecord } from '../../shared/schemas'
import { refuse } from './problem'
import { standsTo } from './replaying'
import type { Store } from './store'

/**
 * Whether a record may be kept now: `same` where it is kept already as it is, `new` where it is new or a newer state of the same work.
 * Refuses whatever was erased, is nobody's, or would take the place of something else.
 */
export function mayKeep(store: Store, record: SavedRecord): 'same' | 'new' {
  if (store.erasedAt(record.learnerId) !== undefined)
    refuse(410, 'This learner was erased for good; nothing more is kept of them.')
  if (!store.hasLearner(record.learnerId))
    refuse(422, 'There is no such learner to save this for.', [
      { pointer: '/learnerId', detail: 'No learner has this identifier.' },
    ])
  if (store.erasedAt(record.id) !== undefined) refuse(410, 'This work was erased for good and is not taken back.')
  const kept = store.record(record.id)
  const stands = kept && standsTo(kept, record)
  if (stands === 'other')
    refuse(409, 'Another piece of work is kept under this identifier; it stays as it is.', [
      { pointer: '/id', detail: 'This identifier is taken.' },
    ])
  return stands === 'same' ? 'same' : 'new'
}

interface Waiting {
  readonly record: SavedRecord
  readonly slips: readonly string[]
  readonly done: () => void
  readonly failed: (error: unknown) => void
}
const waiting = new Map<Store, Waiting[]>()

/**
 * Saves a record, together with all that wait to be saved at the same moment: one commit is enough for them. It is on disk when this
 * resolves. Whether it may be kept is looked at once more, since something may have happened to its learner or its id meanwhile.
 */
export function savedTogether(store: Store, record: SavedRecord, slips: readonly string[]): Promise<void> {
  return new Promise((done, failed) => {
    const others = waiting.get(store)
    if (others) return void others.push({ record, slips, done, failed })
    waiting.set(store, [{ record, slips, done, failed }])
    setImmediate(() => saveAll(store))
  })
}

function saveAll(store: Store): void {
  const all = waiting.get(store) ?? []
  waiting.delete(store)
  const answers: (() => void)[] = []
  try {
    store.db.transaction(() => {
      for (const { record, slips, done, failed } of all)
        try {
          if (mayKeep(store, record) === 'new') store.save(record, slips)
          answers.push(done)
        } catch (error) {
          // Without room on the disk SQLite takes the whole back: then nobody's is kept.
          if (!store.db.inTransaction) throw error
          // Whatever else went wrong with one of them is its own: the others are kept.
          answers.push(() => failed(error))
        }
    })()
  } catch (error) {
    // Nothing was committed, so nobody is told that it was.
    for (const { failed } of all) failed(error)
    return
  }
  for (const answer of answers) answer()
}
