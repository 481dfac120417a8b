import { isDeepStrictEqual } from 'node:util'
import type { SavedRecord } from '../../shared/schemas'
import { refuse } from './problem'
import type { Store } from './store'

/** What may be kept, for whom and under which identifier: one rule for records, trials, answers, marked pages, goals and decisions. */

/** Anything that is kept of a learner, or of nobody. */
interface Sent {
  readonly id: string
  readonly learnerId: string | null
}

/** How what is sent stands to what is kept under the same identifier. */
export type Standing = 'same' | 'newer' | 'other'

/** Refuses to keep anything for a learner who was erased (410) or whom nobody knows (422). `at` is where the learner stands in what was sent. */
export function mustBeKnown(store: Store, learnerId: string | null, at = ''): void {
  if (learnerId === null || store.hasLearner(learnerId)) return
  if (store.erasedAt(learnerId) !== undefined)
    refuse(410, 'This learner was erased for good; nothing more is kept of them.')
  refuse(422, 'There is no such learner to keep this for.', [
    { pointer: `${at}/learnerId`, detail: 'No learner has this identifier.' },
  ])
}

/**
 * Whether something may be kept now: `same` where it is kept already as it is, `new` where it is new or a newer state of the same thing.
 * Refuses whatever was erased, is nobody's, or would take the place of something else. Asked once before work is spent on it, and again
 * in the transaction that keeps it, since something may have happened to its learner or its identifier meanwhile.
 */
export function mayKeep<K>(
  store: Store,
  { id, learnerId }: Sent,
  kept: K | undefined,
  compare: (kept: K) => Standing,
  at = '',
): 'same' | 'new' {
  mustBeKnown(store, learnerId, at)
  if (store.erasedAt(id) !== undefined) refuse(410, 'This was erased for good and is not taken back.')
  const stands = kept === undefined ? 'newer' : compare(kept)
  if (stands === 'other')
    refuse(409, 'Something else is kept under this identifier; it stays as it is.', [
      { pointer: `${at}/id`, detail: 'This identifier is taken.' },
    ])
  return stands === 'same' ? 'same' : 'new'
}

/** Whether two things were begun by the same learner at the same moment, however the moment is written. */
export const isSameWork = (
  a: Pick<SavedRecord, 'learnerId' | 'startedAt'>,
  b: Pick<SavedRecord, 'learnerId' | 'startedAt'>,
): boolean => a.learnerId === b.learnerId && Date.parse(a.startedAt) === Date.parse(b.startedAt)

/** Compares what never changes once it is kept. */
export const asItIs =
  <T>(sent: T) =>
  (kept: T): Standing =>
    isDeepStrictEqual(kept, sent) ? 'same' : 'other'
