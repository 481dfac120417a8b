import { changeSchema } from '../../../shared/people'
import { mustBeHardToGuess } from '../../utils/passphrases'
import { addressOf, asker, keepSession, noteDone } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { hashed } from '../../utils/hashing'
import { beginSession, recognised } from '../../utils/signIn'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Changes one's own passphrase; every other session of the same person ends. */
export default route({ least: 'looker-on', whose: 'nobody', writes: true }, async (event) => {
  const { passphrase, next } = await checkedBody(event, changeSchema, 10_000)
  const { id, name } = asker(event)
  if (id === null) refuse(409, 'Nobody signs in here, so there is no passphrase to change.')
  const store = useStore()
  await recognised(store, name, passphrase, addressOf(event))
  await mustBeHardToGuess(next, 'next', name)
  store.setPassphrase(id, await hashed(next))
  keepSession(event, beginSession(store, id))
  noteDone(event, 'changed the passphrase')
  setResponseStatus(event, 204)
  return null
})
