import { isDeepStrictEqual } from 'node:util'
import { goalSchema } from '../../../shared/progress'
import { mustReach } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Keeps a goal of a learner. */
export default defineEventHandler(async (event) => {
  const goal = await checkedBody(event, goalSchema)
  const store = useStore()
  if (goal.id !== getRouterParam(event, 'id')) refuse(422, 'The address names another goal.')
  if (!store.hasLearner(goal.learnerId))
    refuse(422, 'There is no such learner to keep this for.', [
      { pointer: '/learnerId', detail: 'No learner has this identifier.' },
    ])
  mustReach(event, goal.learnerId)
  if (goal.by <= goal.set)
    refuse(422, 'A goal lies after the day on which it is set.', [{ pointer: '/by', detail: 'Choose a later day.' }])
  const there = store.goal(goal.id)
  if (there && there.learnerId !== goal.learnerId) refuse(409, 'Another goal is kept under this identifier.')
  const kept = store.keepGoal(goal)
  if (kept) return kept
  // Sent again because the answer was lost on the way: it is kept already.
  if (there && isDeepStrictEqual(there, { ...goal, version: goal.version + 1 })) return there
  return refuse(409, 'Somebody has changed this goal since. Load it again.')
})
