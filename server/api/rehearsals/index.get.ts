import { rehearsalPageQuery } from '../../../shared/schemas'
import { mustReach } from '../../utils/person'
import { checkedQuery } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** A page of the answers of one learner, or of the teacher's own, the oldest first. */
export default route({ least: 'looker-on', whose: 'learners', writes: false }, (event) => {
  const { of, after } = checkedQuery(event, rehearsalPageQuery)
  mustReach(event, of === 'teacher' ? null : of)
  return useStore().answersAfter(of === 'teacher' ? null : of, after)
})
