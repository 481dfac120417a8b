import { signInSchema } from '../../../shared/people'
import { addressOf, keepSession, noteDone } from '../../utils/person'
import { checkedBody } from '../../utils/problem'
import { beginSession, recognised } from '../../utils/signIn'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Signs in. */
export default route({ least: 'anybody', whose: 'nobody', writes: true }, async (event) => {
  const { name, passphrase } = await checkedBody(event, signInSchema, 10_000)
  const store = useStore()
  const person = await recognised(store, name, passphrase, addressOf(event))
  keepSession(event, beginSession(store, person.id))
  noteDone(event, 'signed in', '', person.name)
  return { name: person.name, role: person.role }
})
