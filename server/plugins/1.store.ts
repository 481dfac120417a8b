import { seedDemo } from '../../demo/lantern-walk'
import { StartTrouble } from '../db/open'
import { doAside } from '../utils/aside'
import { onNetwork } from '../utils/hosts'
import { letGo, useStore } from '../utils/store'

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
    if (process.env.SETT_DEMO) seedDemo(store, new Date())
  } catch (error) {
    if (!(error instanceof StartTrouble)) throw error
    console.error(error.message)
    process.exit(1)
  }
  nitro.hooks.hook('close', letGo)
})
