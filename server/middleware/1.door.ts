import { namesOf, turnedAway } from '../utils/hosts'
import { refuse } from '../utils/problem'
import { routeOf } from '../utils/routes'

const names = namesOf()

/**
 * What every request passes first: it is for this server and from its own pages, in a way that its address knows. Answers of the API
 * are kept by nobody on the way.
 */
export default defineEventHandler((event) => {
  const { headers, method = 'GET' } = event.node.req
  const { pathname } = getRequestURL(event)
  const api = pathname === '/api' || pathname.startsWith('/api/')
  if (api) setResponseHeader(event, 'cache-control', 'no-store')
  const said = (name: string): string | undefined => {
    const value = headers[name]
    return Array.isArray(value) ? value[0] : value
  }
  const away = turnedAway(
    {
      host: headers.host,
      origin: headers.origin,
      site: said('sec-fetch-site'),
      mode: said('sec-fetch-mode'),
      dest: said('sec-fetch-dest'),
      method,
      api,
    },
    names,
  )
  if (away) refuse(away.status, away.detail)
  const allowed = api ? Object.keys(routeOf(pathname) ?? {}) : ['GET', 'HEAD']
  if (allowed.length === 0 || allowed.includes(method)) return
  setResponseHeader(event, 'allow', allowed.join(', '))
  refuse(405, `This address is asked by ${allowed.join(' or ')} only.`)
})
