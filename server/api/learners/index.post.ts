import { newLearnerSchema } from '../../../shared/schemas'
import { firstGroups } from '../../utils/groups'
import { mustBeFreeName } from '../../utils/mayKeep'
import { mustReach, reachOf } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { route } from '../../utils/route'
import { useStore } from '../../utils/store'

/** Adds a learner. The same learner posted twice is one learner; another learner of that name is refused. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, async (event) => {
  const learner = await checkedBody(event, newLearnerSchema)
  const store = useStore()
  reachOf(event)
  if (store.erasedAt(learner.id) !== undefined)
    refuse(410, 'This learner was erased for good. Add them anew, if that is meant.')
  const isThere = store.hasLearner(learner.id)
  if (isThere) mustReach(event, learner.id)
  mustBeFreeName(store, learner)
  if (isThere) store.renameLearner(learner)
  else store.addLearner(learner, firstGroups(event))
  return learner
})
