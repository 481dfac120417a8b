import { listensOn } from '../utils/hosts'

/** Sett listens on this machine only, unless HOST says otherwise; without this, Node would listen on every network it finds. */
export default defineNitroPlugin(() => {
  process.env.NITRO_HOST = listensOn()
})
