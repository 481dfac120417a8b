import { newLearnerSchema } from '../../../shared/schemas'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Adds a learner. The same learner posted twice is one learner; another learner of that name is refused. */
export default defineEventHandler(async (event) => {
  const learner = await checkedBody(event, newLearnerSchema)
  const store = useStore()
  if (store.erasedAt(learner.id) !== undefined)
    refuse(410, 'This learner was erased for good. Add them anew, if that is meant.')
  const namesake = store.learnerNamed(learner.codeName)
  if (namesake && namesake.id !== learner.id)
    refuse(409, `There is a learner called ${namesake.codeName} already.`, [
      { pointer: '/codeName', detail: 'Choose another code name.' },
    ])
  if (store.hasLearner(learner.id)) store.renameLearner(learner)
  else store.addLearner(learner)
  return learner
})
