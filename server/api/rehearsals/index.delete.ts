import { rehearsalQuery } from '../../../shared/schemas'
import { checkedQuery } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Deletes all answers of one learner, or the teacher's own. */
export default defineEventHandler((event) => {
  const { of } = checkedQuery(event, rehearsalQuery)
  useStore().forgetAnswers(of === 'teacher' ? null : of)
  setResponseStatus(event, 204)
  return null
})
