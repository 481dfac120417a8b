import { codeSchema } from '../../../shared/people'
import { mustBeHardToGuess } from '../../utils/passphrases'
import { addressOf, keepSession, noteDone } from '../../utils/person'
import { checkedBody } from '../../utils/problem'
import { hashed } from '../../utils/hashing'
import { beginSession, openedBy } from '../../utils/signIn'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Takes up an invitation, or sets a new passphrase with a code: the code is used up, and its owner is signed in. */
export default route({ least: 'anybody', whose: 'nobody', writes: true }, async (event) => {
  const { code, passphrase } = await checkedBody(event, codeSchema, 10_000)
  const store = useStore()
  const { person, takeUp } = openedBy(store, code, addressOf(event))
  await mustBeHardToGuess(passphrase, 'passphrase', person.name)
  takeUp(await hashed(passphrase))
  keepSession(event, beginSession(store, person.id))
  noteDone(event, 'chose a passphrase with a code', '', person.name)
  return { name: person.name, role: person.role }
})
