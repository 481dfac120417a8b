import { noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Takes a person out; their sessions end at once. The last keeper stays while there is anybody else. */
export default route({ least: 'keeper', whose: 'staff', writes: true }, (event) => {
  const store = useStore()
  const person = store.person(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such person.')
  if (person.role === 'keeper' && store.keepers() === 1)
    refuse(409, 'This is the last keeper. Make somebody else one first.')
  store.removePerson(person.id)
  noteDone(event, 'took out', person.name)
  setResponseStatus(event, 204)
  return null
})
