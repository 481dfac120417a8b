import { recordQuery } from '../../../shared/schemas'
import { asker } from '../../utils/person'
import { checkedQuery } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** A page of the Daybook, the newest first, narrowed as the address says; with what it may be narrowed by. */
export default defineEventHandler((event) => {
  const store = useStore()
  return { ...store.page(checkedQuery(event, recordQuery), asker(event).only), known: store.known() }
})
