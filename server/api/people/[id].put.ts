import { personChangeSchema } from '../../../shared/people'
import { groupsFor } from '../../utils/learners'
import { noteDone } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Changes what a person may do, and for which learners they are there. The last keeper stays one. */
export default route({ least: 'keeper', whose: 'staff', writes: true }, async (event) => {
  const { role, groups, learners } = await checkedBody(event, personChangeSchema)
  const store = useStore()
  const person = store.person(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such person.')
  if (person.role === 'keeper' && role !== 'keeper' && store.keepers() === 1)
    refuse(409, 'This is the last keeper. Make somebody else one first.')
  store.setRole(
    person.id,
    role,
    groupsFor(role, groups),
    learners.filter((id) => store.hasLearner(id)),
  )
  noteDone(event, `made ${role}`, person.name)
  setResponseStatus(event, 204)
  return null
})
