import { seedDemo } from '../../demo/lantern-walk'
import { closeStore, useStore } from '../utils/store'

/** Opens the store at the start, so that a database that cannot be opened says so at once, and fills the demo's. */
export default defineNitroPlugin((nitro) => {
  const store = useStore()
  if (process.env.SETT_DEMO) seedDemo(store, new Date())
  nitro.hooks.hook('close', closeStore)
})
