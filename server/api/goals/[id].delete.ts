import { noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

export default defineEventHandler((event) => {
  const store = useStore()
  const id = getRouterParam(event, 'id') ?? ''
  const goal = store.goal(id) ?? refuse(404, 'There is no such goal.')
  store.removeGoal(id)
  noteDone(event, 'deleted a goal', goal.step || 'all that is tried')
  setResponseStatus(event, 204)
  return null
})
