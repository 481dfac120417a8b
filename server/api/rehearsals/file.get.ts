import { personSchema } from '../../../shared/schemas'
import { refuse } from '../../utils/problem'
import { rehearsalsToFile } from '../../utils/rehearsals'
import { useStore } from '../../utils/store'

/** A file of all answers of one learner, or of the teacher's own. */
export default defineEventHandler((event) => {
  const who = personSchema.safeParse(getQuery(event).of)
  if (!who.success) refuse(422, who.error.issues[0]!.message)
  const store = useStore()
  const learner = who.data === 'teacher' ? null : (store.learner(who.data) ?? refuse(404, 'There is no such learner.'))
  const name = encodeURIComponent(learner?.codeName ?? 'teacher')
  setResponseHeader(event, 'content-disposition', `attachment; filename="sett-rehearsals-${name}.json"`)
  return rehearsalsToFile(store, store.answers(learner?.id ?? null))
})
