import { HOUR_MS } from '../../shared/days'
import { daily } from '../utils/keeping'
import { lookThroughLater } from '../utils/lookingThrough'
import { useStore } from '../utils/store'

/** Looks once an hour, and soon after the start, whether anything is due that is done once a day. */
export default defineNitroPlugin((nitro) => {
  const look = (): void =>
    void daily(useStore)
      .then(() => lookThroughLater(useStore))
      .catch((error: unknown) => console.error(error))
  const first = setTimeout(look, 5000)
  const every = setInterval(look, HOUR_MS)
  nitro.hooks.hook('close', () => {
    clearTimeout(first)
    clearInterval(every)
  })
})
