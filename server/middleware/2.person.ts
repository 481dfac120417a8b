import { reaches } from '../../shared/roles'
import { mayWrite } from '../utils/alone'
import { askerOf } from '../utils/person'
import { refuse } from '../utils/problem'
import { routeOf } from '../utils/routes'
import { useStore } from '../utils/store'

/** Every request to the API is somebody's, and what it asks for is theirs to do. Pages have no data in them and are open to all. */
export default defineEventHandler(async (event) => {
  const { method = 'GET' } = event.node.req
  const needs = routeOf(getRequestURL(event).pathname)?.[method as 'GET']
  if (needs === undefined) return
  const asker = askerOf(event, useStore())
  event.context.asker = asker
  if (needs !== 'anybody') {
    if (!asker) refuse(401, 'Sign in first.')
    if (!reaches(asker.role, needs)) refuse(403, `That is for a ${needs} to do; you are here as a ${asker.role}.`)
  }
  if (method !== 'GET' && method !== 'HEAD') await mayWrite(event)
})
