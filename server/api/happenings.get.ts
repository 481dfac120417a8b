import { happeningQuery } from '../../shared/people'
import { checkedQuery } from '../utils/problem'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** Who did what, the latest first, a page at a time. */
export default route({ least: 'keeper', whose: 'staff', writes: false }, (event) => {
  const { before = Number.MAX_SAFE_INTEGER } = checkedQuery(event, happeningQuery)
  return useStore().happenings(before, 50)
})
