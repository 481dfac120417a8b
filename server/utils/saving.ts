import type { SavedRecord } from '../../shared/schemas'
import type { RecordRow } from '../db/records'
import { ifWhole } from '../db/sums'
import { isSameWork, mayKeep } from './mayKeep'
import { beingRead, onRead, standsTo } from './replaying'
import type { Store } from './store'

/** A record's own content, where it has to be compared. */
const recordIn = ({ id, learnerId, startedAt, outcome, body }: RecordRow): SavedRecord => ({
  id,
  learnerId,
  startedAt,
  outcome,
  work: JSON.parse(body) as SavedRecord['work'],
})

/** Whether a record may be kept now (see `mayKeep`). What is damaged on the disk is made whole by the same work sent again. */
export function mayKeepRecord(store: Store, row: RecordRow): 'same' | 'new' {
  let isDamaged = false
  const kept = ifWhole(
    () => store.record(row.id),
    () => (isDamaged = true),
  )
  if (isDamaged)
    return mayKeep(store, row, store.recordHead(row.id), (head) => (isSameWork(head, row) ? 'newer' : 'other'))
  return mayKeep(store, row, kept, (there) => standsTo(there, recordIn(row)))
}

interface Waiting {
  readonly row: RecordRow
  readonly slips: readonly string[] | null
  readonly done: () => void
  readonly failed: (error: unknown) => void
}
interface Group {
  readonly all: Waiting[]
  /** So many more are to be read before it is saved, whatever becomes of them: half of those that were being read as the first came. */
  left: number
}
const groups = new Map<Store, Group>()

/**
 * Saves a record, together with others that were being read when the first of them came: one commit is enough for them. It is on disk when
 * this resolves. Whether it may be kept is looked at once more, since something may have happened to its learner or its id meanwhile.
 */
export function savedTogether(store: Store, row: RecordRow, slips: readonly string[] | null): Promise<void> {
  return new Promise((done, failed) => {
    const group = groups.get(store) ?? { all: [], left: Math.ceil(beingRead() / 2) }
    groups.set(store, group)
    group.all.push({ row, slips, done, failed })
    // Those of this very moment come into it too.
    if (group.all.length === 1) setImmediate(() => saveComplete(0))
  })
}

/** Saves the groups that have nothing more to wait for, now that so many more have been read. */
function saveComplete(read: number): void {
  for (const [store, group] of groups) {
    group.left -= read
    if (group.left > 0 && beingRead() > 0) continue
    groups.delete(store)
    saveAll(store, group.all)
  }
}
onRead(() => saveComplete(1))

function saveAll(store: Store, all: readonly Waiting[]): void {
  const answers: (() => void)[] = []
  try {
    store.db.transaction(() => {
      for (const { row, slips, done, failed } of all)
        try {
          if (mayKeepRecord(store, row) === 'new') store.saveRow(row, slips)
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
