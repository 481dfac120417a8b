import { rehearsalQuery } from '../../../shared/schemas'
import { mustReach } from '../../utils/person'
import { checkedQuery } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** All answers of one learner, or the teacher's own, the oldest first. */
export default defineEventHandler((event) => {
  const { of } = checkedQuery(event, rehearsalQuery)
  mustReach(event, of === 'teacher' ? null : of)
  return useStore().answers(of === 'teacher' ? null : of)
})
