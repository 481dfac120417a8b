import { recordQuery } from '../../../shared/listing'
import { pageOfStep } from '../../utils/found'
import { asker } from '../../utils/person'
import { checkedQuery } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** A page of the Daybook, the newest first, narrowed as the address says; with what it may be narrowed by. */
export default defineEventHandler(async (event) => {
  const store = useStore()
  const { step, ...query } = checkedQuery(event, recordQuery)
  const { only } = asker(event)
  const page = step === undefined ? store.page(query, only) : await pageOfStep(store, { ...query, step }, only)
  return { ...page, known: store.known() }
})
