// @ts-expect-error -- a module that the build makes: every handler of the server, with its address
import { handlers } from '#nitro-internal-virtual/server-handlers'
import { addressesFrom, addressesOf, type Built } from '../utils/addresses'

/** Looks at every handler before the first request: where one does not say who may use it, the server does not start. */
export default defineNitroPlugin(() => {
  addressesFrom(
    addressesOf(handlers as readonly Built[]).catch((error: Error) => {
      console.error(`Sett does not start: ${error.message}`)
      process.exit(1)
    }),
  )
})
