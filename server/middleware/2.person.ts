import { reaches } from '../../shared/roles'
import { askerOf } from '../utils/person'
import { refuse } from '../utils/problem'
import { routeOf } from '../utils/routes'
import { useStore } from '../utils/store'

/** Every request to the API is somebody's, and what it asks for is theirs to do. Pages have no data in them and are open to all. */
export default defineEventHandler((event) => {
  const needs = routeOf(getRequestURL(event).pathname)?.[event.node.req.method as 'GET']
  if (needs === undefined) return
  const asker = askerOf(event, useStore())
  event.context.asker = asker
  if (needs === 'anybody') return
  if (!asker) refuse(401, 'Sign in first.')
  if (!reaches(asker.role, needs)) refuse(403, `That is for a ${needs} to do; you are here as a ${asker.role}.`)
})
