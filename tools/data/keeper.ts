import { randomUUID } from 'node:crypto'
import { StartTrouble } from '../../server/db/open'
import { inviteTo } from '../../server/utils/signIn'
import { databaseIn, dataFolder, makeStore } from '../../server/utils/store'

/**
 * Without a name it lists everybody. With one it makes a code by which that person chooses a passphrase: a new keeper, where there is
 * nobody of that name, or somebody who has lost the way in. It works while Sett is running.
 */
try {
  const name = process.argv.slice(2).join(' ').trim()
  const store = makeStore(databaseIn(dataFolder()))
  if (name === '') {
    const people = store.people()
    console.log(
      people.length === 0 ? 'Nobody signs in here yet.' : people.map((p) => `${p.name}: ${p.role}`).join('\n'),
    )
    console.log('\nA code for a keeper: npm run keeper -- NAME')
  } else {
    const known = store.personNamed(name)
    const id = known?.id ?? randomUUID()
    if (!known) store.addPerson({ id, name: name.slice(0, 40), role: 'keeper', groups: null, learners: [] })
    const code = inviteTo(store, id)
    store.note({
      at: Date.now(),
      who: 'this machine',
      what: known ? 'made a code for' : 'made a keeper of',
      about: name,
    })
    console.log(`${known ? `A new way in for ${known.name}, ${known.role}` : `${name} is a keeper`}.`)
    console.log(`Open /sign-in, “I have a code”:\n\n  ${code}\n\nIt works once, for a week.`)
  }
  store.db.close()
} catch (error) {
  if (!(error instanceof StartTrouble)) throw error
  console.error(error.message)
  process.exitCode = 1
}
