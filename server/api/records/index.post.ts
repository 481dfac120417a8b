import { MAX_RECORD_BYTES, saveSchema } from '../../../shared/schemas'
import { isTrouble, replayedOn } from '../../utils/replaying'
import { mayKeep, savedTogether } from '../../utils/saving'
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
  if (store.hasLearner(record.learnerId)) mustReach(event, record.learnerId)
  if (mayKeep(store, record) === 'same') return { id: record.id }
  const made = await replayedOn(record)
  if (isTrouble(made)) refuse(422, made.detail, [{ pointer: `/work${made.pointer}`, detail: made.detail }])
  await savedTogether(store, record, made.slips)
  return { id: record.id }
})
