import { dropSession, sessionToken } from '../../utils/person'
import { digest } from '../../utils/signIn'
import { useStore } from '../../utils/store'

/** Signs out: the session ends here as well as in the browser. */
export default defineEventHandler((event) => {
  const token = sessionToken(event)
  if (token) useStore().endSession(digest(token))
  dropSession(event)
  setResponseStatus(event, 204)
  return null
})
