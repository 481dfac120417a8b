import { randomUUID } from 'node:crypto'
import { firstPersonSchema } from '../../../shared/people'
import { mustBeHardToGuess } from '../../utils/passphrases'
import { keepSession, noteDone } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { hashed } from '../../utils/hashing'
import { beginSession } from '../../utils/signIn'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** The first keeper, at a computer where nobody has had to sign in so far: from now on everybody does. */
export default route({ least: 'keeper', whose: 'staff', writes: true }, async (event) => {
  const { name, passphrase } = await checkedBody(event, firstPersonSchema, 10_000)
  const store = useStore()
  await mustBeHardToGuess(passphrase, 'passphrase', name)
  const hash = await hashed(passphrase)
  if (store.hasKeeper()) refuse(409, 'There is a keeper already. People are invited by a keeper.')
  const id = randomUUID()
  store.db.transaction(() => {
    store.addPerson({ id, name, role: 'keeper', groups: null, learners: [] })
    store.setPassphrase(id, hash)
  })()
  keepSession(event, beginSession(store, id))
  noteDone(event, 'became the first keeper', '', name)
  return { name, role: 'keeper' }
})
