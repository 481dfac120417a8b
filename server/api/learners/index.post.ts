import { newLearnerSchema } from '../../../shared/schemas'
import { firstGroups, mustBeFreeName } from '../../utils/learners'
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
  else
    store.addLearner(
      learner,
      firstGroups(event) ?? refuse(403, 'You have no group to add a learner to. A keeper can give you one.'),
    )
  return learner
})
