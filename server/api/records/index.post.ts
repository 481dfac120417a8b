import { MAX_RECORD_BYTES, saveSchema } from '../../../shared/schemas'
import { isTrouble, replayedOn, standsTo } from '../../utils/replaying'
import { mustReach } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/**
 * Saves a record; it is on disk when this answers. The same record twice is one record, and a newer state of the same work takes the
 * place of the older one; anything else under an id that is taken is refused.
 */
export default defineEventHandler(async (event) => {
  const record = await checkedBody(event, saveSchema, MAX_RECORD_BYTES)
  const store = useStore()
  if (store.erasedAt(record.learnerId) !== undefined)
    refuse(410, 'This learner was erased for good; nothing more is kept of them.')
  if (!store.learner(record.learnerId))
    refuse(422, 'There is no such learner to save this for.', [
      { pointer: '/learnerId', detail: 'No learner has this identifier.' },
    ])
  mustReach(event, record.learnerId)
  if (store.erasedAt(record.id) !== undefined) refuse(410, 'This work was erased for good and is not taken back.')
  const kept = store.record(record.id)
  const stands = kept && standsTo(kept, record)
  if (stands === 'same') return { id: record.id }
  if (stands === 'other')
    refuse(409, 'Another piece of work is kept under this identifier; it stays as it is.', [
      { pointer: '/id', detail: 'This identifier is taken.' },
    ])
  const made = await replayedOn(record)
  if (isTrouble(made)) refuse(422, made.detail, [{ pointer: `/work${made.pointer}`, detail: made.detail }])
  store.save(record, made.slips)
  return { id: record.id }
})
