import { personSchema } from '../../../shared/schemas'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** All answers of one learner, or the teacher's own, the oldest first. */
export default defineEventHandler((event) => {
  const who = personSchema.safeParse(getQuery(event).of)
  if (!who.success) refuse(422, who.error.issues[0]!.message)
  return useStore().answers(who.data === 'teacher' ? null : who.data)
})
