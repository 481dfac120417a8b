import { noteDone } from '../../../utils/person'
import { refuse } from '../../../utils/problem'
import { useStore } from '../../../utils/store'
import { route } from '../../../utils/route'

/** Signs a person out everywhere. */
export default route({ least: 'keeper', whose: 'staff', writes: true }, (event) => {
  const store = useStore()
  const person = store.person(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such person.')
  store.endSessions(person.id)
  noteDone(event, 'signed out everywhere', person.name)
  setResponseStatus(event, 204)
  return null
})
