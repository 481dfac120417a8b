import { mustReach, noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

export default route({ least: 'teacher', whose: 'learners', writes: true }, (event) => {
  const store = useStore()
  const id = getRouterParam(event, 'id') ?? ''
  const goal = store.goal(id) ?? refuse(404, 'There is no such goal.')
  mustReach(event, goal.learnerId)
  store.removeGoal(id)
  noteDone(event, 'deleted a goal', goal.step || 'all that is tried')
  setResponseStatus(event, 204)
  return null
})
