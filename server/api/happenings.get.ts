import { happeningQuery } from '../../shared/people'
import { checkedQuery } from '../utils/problem'
import { useStore } from '../utils/store'

/** Who did what, the latest first, a page at a time. */
export default defineEventHandler((event) => {
  const { before = Number.MAX_SAFE_INTEGER } = checkedQuery(event, happeningQuery)
  return useStore().happenings(before, 50)
})
