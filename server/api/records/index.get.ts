import { recordQuery } from '../../../shared/listing'
import { pageOfStep } from '../../utils/found'
import { reachOf } from '../../utils/person'
import { checkedQuery } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** A page of the Daybook, the newest first, narrowed as the address says; with what it may be narrowed by. */
export default route({ least: 'looker-on', whose: 'learners', writes: false }, async (event) => {
  const store = useStore()
  const { step, ...query } = checkedQuery(event, recordQuery)
  const only = reachOf(event)
  const page = step === undefined ? store.page(query, only) : await pageOfStep(store, { ...query, step }, only)
  return { ...page, known: store.known(only) }
})
