import { goalSchema } from '../../../shared/progress'
import { mayKeep, mustBeKnown } from '../../utils/mayKeep'
import { mustReach } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Keeps a goal of a learner. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, async (event) => {
  const goal = await checkedBody(event, goalSchema)
  const store = useStore()
  if (goal.id !== getRouterParam(event, 'id')) refuse(422, 'The address names another goal.')
  mustBeKnown(store, goal.learnerId)
  mustReach(event, goal.learnerId)
  if (goal.by <= goal.set)
    refuse(422, 'A goal lies after the day on which it is set.', [{ pointer: '/by', detail: 'Choose a later day.' }])
  mayKeep(store, goal, store.goal(goal.id), (kept) => (kept.learnerId === goal.learnerId ? 'newer' : 'other'))
  return store.keepGoal(goal) ?? refuse(409, 'Somebody has changed this goal since. Load it again.')
})
