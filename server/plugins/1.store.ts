import { seedDemo } from '../../demo/lantern-walk'
import { seedTerm } from '../../demo/term'
import { FOLDED_AT, isLarge, StartTrouble } from '../db/open'
import { holdWrites } from '../utils/alone'
import { aside, doAside } from '../utils/aside'
import { onNetwork } from '../utils/hosts'
import { letGo, type Store, useStore } from '../utils/store'

/**
 * Opens the store at the start, so that a database that cannot be opened says so at once in one sentence, and fills the demo's. On a
 * network Sett does not start before there is a keeper who lets people in.
 */
export default defineNitroPlugin((nitro) => {
  // Where the server lies is known only once all of it is loaded.
  doAside(() => import.meta.url)
  try {
    const store = useStore()
    if (onNetwork() && !store.hasKeeper())
      throw new StartTrouble(
        'On a network Sett asks everybody to sign in, and nobody can yet. Make a keeper first: npm run keeper.',
      )
    if (isLarge(store.path)) lookThrough(store)
    // `term`: with the twelve weeks before today; anything else: the class as it begins.
    if (process.env.SETT_DEMO) (process.env.SETT_DEMO === 'term' ? seedTerm : seedDemo)(store, new Date())
  } catch (error) {
    if (!(error instanceof StartTrouble)) throw error
    console.error(error.message)
    process.exit(1)
  }
  nitro.hooks.hook('close', letGo)
})

/**
 * Looks a large database through while it is in use already. Its head was looked at before; until all of it is known to be whole, nothing
 * is folded into the file. Where it is damaged, what is there can be read, and nothing more is written.
 */
function lookThrough({ db, path }: Store): void {
  db.pragma('wal_autocheckpoint = 0')
  void aside('lookThroughInUse', { path }).then(
    (trouble) => {
      if (trouble === undefined) return db.open && db.pragma(`wal_autocheckpoint = ${FOLDED_AT}`)
      console.error(`${trouble} Nothing more is written to it. Restore a backup: npm run restore.`)
      holdWrites(trouble)
    },
    (error: unknown) => console.error(error),
  )
}
