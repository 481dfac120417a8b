import { noteDone } from '../../../utils/person'
import { refuse } from '../../../utils/problem'
import { inviteTo } from '../../../utils/signIn'
import { useStore } from '../../../utils/store'
import { route } from '../../../utils/route'

/** A new code for somebody who has lost the first one, or the passphrase. What they had before goes on until the code is used. */
export default route({ least: 'keeper', whose: 'staff', writes: true }, (event) => {
  const store = useStore()
  const person = store.person(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such person.')
  noteDone(event, 'made a code for', person.name)
  return { code: inviteTo(store, person.id) }
})
