import { randomUUID } from 'node:crypto'
import { newPersonSchema } from '../../../shared/people'
import { groupsFor } from '../../utils/learners'
import { noteDone } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { inviteTo } from '../../utils/signIn'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Invites a person: the answer has the code, which is shown this once. */
export default route({ least: 'keeper', whose: 'staff', writes: true }, async (event) => {
  const person = await checkedBody(event, newPersonSchema)
  const store = useStore()
  if (!store.hasKeeper()) refuse(409, 'Make yourself a keeper first: then others can be invited.')
  if (store.personNamed(person.name))
    refuse(409, 'There is somebody of that name already.', [{ pointer: '/name', detail: 'Choose another name.' }])
  const stranger = person.learners.findIndex((id) => !store.hasLearner(id))
  if (stranger >= 0)
    refuse(422, 'One of those learners is not in the class.', [
      { pointer: `/learners/${stranger}`, detail: 'No learner has this identifier.' },
    ])
  const id = randomUUID()
  store.addPerson({ id, ...person, groups: groupsFor(person.role, person.groups) })
  noteDone(event, `invited as ${person.role}`, person.name)
  return { id, code: inviteTo(store, id) }
})
