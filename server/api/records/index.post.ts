import { MAX_FILE_BYTES, saveSchema } from '../../../shared/schemas'
import { unsound } from '../../utils/keep'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Saves a record; it is on disk when this answers. The same record twice is one record. */
export default defineEventHandler(async (event) => {
  const record = await checkedBody(event, saveSchema, MAX_FILE_BYTES)
  const store = useStore()
  if (!store.learner(record.learnerId))
    refuse(422, 'There is no such learner to save this for.', [
      { pointer: '/learnerId', detail: 'No learner has this identifier.' },
    ])
  const trouble = unsound(record.work)
  if (trouble) refuse(422, trouble.detail, [{ pointer: `/work${trouble.pointer}`, detail: trouble.detail }])
  store.save(record)
  return { id: record.id }
})
