import { personSchema } from '../../../shared/schemas'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Deletes all answers of one learner, or the teacher's own. */
export default defineEventHandler((event) => {
  const who = personSchema.safeParse(getQuery(event).of)
  if (!who.success) refuse(422, who.error.issues[0]!.message)
  useStore().forgetAnswers(who.data === 'teacher' ? null : who.data)
  setResponseStatus(event, 204)
  return null
})
