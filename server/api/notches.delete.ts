import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** Goes back to the rule for every numeral. */
export default route({ least: 'teacher', whose: 'nobody', writes: true }, (event) => {
  useStore().clearNotches()
  setResponseStatus(event, 204)
  return null
})
