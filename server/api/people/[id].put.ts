import { personChangeSchema } from '../../../shared/people'
import { noteDone } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Changes what a person may do, and for which learners a helper is there. The last keeper stays one. */
export default defineEventHandler(async (event) => {
  const { role, learners } = await checkedBody(event, personChangeSchema)
  const store = useStore()
  const person = store.person(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such person.')
  if (person.role === 'keeper' && role !== 'keeper' && store.keepers() === 1)
    refuse(409, 'This is the last keeper. Make somebody else one first.')
  store.setRole(
    person.id,
    role,
    learners.filter((id) => store.hasLearner(id)),
  )
  noteDone(event, `made ${role}`, person.name)
  setResponseStatus(event, 204)
  return null
})
