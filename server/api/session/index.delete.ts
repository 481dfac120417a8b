import { dropSession, sessionToken } from '../../utils/person'
import { digest } from '../../utils/signIn'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Signs out: the session ends here as well as in the browser. */
export default route({ least: 'anybody', whose: 'nobody', writes: true }, (event) => {
  const token = sessionToken(event)
  if (token) useStore().endSession(digest(token))
  dropSession(event)
  setResponseStatus(event, 204)
  return null
})
