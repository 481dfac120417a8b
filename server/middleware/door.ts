import { addresses, kindOf, methodsAt } from '../utils/addresses'
import { namesOf, turnedAway } from '../utils/hosts'
import { refuse } from '../utils/problem'

const names = namesOf()

/**
 * What every request passes first: its address is written just as Sett writes it, it is for this server and from its own pages, and asked
 * in a way that its address knows. Who may use an address is looked at by its own handler (server/utils/route.ts). Answers of the API are
 * kept by nobody on the way.
 */
export default defineEventHandler(async (event) => {
  const { headers, method = 'GET', url = '' } = event.node.req
  const kind = kindOf(url)
  const api = kind !== 'page'
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
  if (kind === 'astray') refuse(404, 'There is nothing at this address.')
  const methods = api ? methodsAt(await addresses, url.split('?', 1)[0]!) : undefined
  if (api && !methods) refuse(404, 'There is nothing at this address.')
  const allowed = methods ? [...methods.keys()] : ['GET', 'HEAD']
  if (allowed.includes(method)) return
  setResponseHeader(event, 'allow', allowed.join(', '))
  refuse(405, `This address is asked by ${allowed.join(' or ')} only.`)
})
