import { rehearsalQuery } from '../../../shared/schemas'
import { mustReach } from '../../utils/person'
import { checkedQuery } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Deletes all answers of one learner, or the teacher's own. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, (event) => {
  const { of } = checkedQuery(event, rehearsalQuery)
  const learner = of === 'teacher' ? null : of
  mustReach(event, learner)
  useStore().forgetAnswers(learner)
  setResponseStatus(event, 204)
  return null
})
