import { useStore } from '../utils/store'

/** Goes back to the rule for every numeral. */
export default defineEventHandler((event) => {
  useStore().clearNotches()
  setResponseStatus(event, 204)
  return null
})
