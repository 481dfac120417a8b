import type { EventHandler } from 'h3'
import { type Rights, rightsOf } from './route'

/** A handler as the built server has it: loaded when it is first asked for, or at once. */
export interface Built {
  readonly route: string
  readonly handler: EventHandler | (() => Promise<{ readonly default: unknown }>)
  readonly lazy: boolean
  readonly middleware: boolean
  readonly method: string | undefined
}

/** Methods by address, as `/api/learners/:id`, with what each may do. */
export type Addresses = ReadonlyMap<string, ReadonlyMap<string, Rights>>

/** What besides the API answers: the page of the app, and what stands in for it while something is wrong. */
const PAGES = ['/**', '/__nuxt_error']

/**
 * Every address of the API with its rights, found on the handlers themselves.
 * @throws Error that names an address whose handler was not made by `route`, or one that should not be there at all.
 */
export async function addressesOf(handlers: readonly Built[]): Promise<Addresses> {
  const found = new Map<string, Map<string, Rights>>()
  for (const { route, handler, lazy, middleware, method } of handlers) {
    // What has no address of its own is passed by every request, and answers none of the API.
    if (middleware || route === '' || PAGES.includes(route)) continue
    const made = lazy ? (await (handler as () => Promise<{ readonly default: unknown }>)()).default : handler
    const rights = rightsOf(made)
    if (!rights || method === undefined || !route.startsWith('/api/'))
      throw new Error(
        `${method?.toUpperCase() ?? 'Any method'} ${route} does not say who may use it (server/utils/route.ts).`,
      )
    const methods = found.get(route) ?? new Map<string, Rights>()
    found.set(route, methods.set(method.toUpperCase(), rights))
  }
  return found
}

let know!: (found: Promise<Addresses>) => void
/** Every address and who may use it; until it is known, requests wait. */
export const addresses = new Promise<Addresses>((done) => (know = done))
/** Says where the addresses come from. */
export const addressesFrom = (found: Promise<Addresses>): void => know(found)

/** The methods of an address; a word that stands there comes before `:id`. */
export function methodsAt(addresses: Addresses, path: string): ReadonlyMap<string, Rights> | undefined {
  const exact = addresses.get(path)
  if (exact) return exact
  const parts = path.split('/')
  for (const [pattern, methods] of addresses) {
    const wanted = pattern.split('/')
    if (wanted.length === parts.length && wanted.every((w, i) => w.startsWith(':') || w === parts[i])) return methods
  }
  return undefined
}

/** An address of the API as Sett writes it: plain segments, each once, with nothing to be decoded, dropped or gone back over. */
const CANONICAL = /^\/api(?:\/[A-Za-z0-9][A-Za-z0-9-]{0,99})+$/

/** What an address may be taken for by whatever stands between: decoded, with its slashes, dots and parameters tidied up. */
function tidied(path: string): string {
  let plain = path
  for (let i = 0; i < 3; i++)
    try {
      plain = decodeURIComponent(plain)
    } catch {
      plain = plain.replace(/%[0-9a-f]{2}/gi, (sign) => String.fromCharCode(parseInt(sign.slice(1), 16)))
    }
  const parts: string[] = []
  for (const part of plain.replace(/[\\/]+/g, '/').split('/')) {
    // eslint-disable-next-line no-control-regex -- a null byte or a tab is just what somebody would try
    const bare = part.replace(/;.*$/s, '').replace(/[\u0000-\u0020\u007f]/g, '')
    if (bare === '..') parts.pop()
    else if (bare !== '' && bare !== '.') parts.push(bare)
  }
  return `/${parts.join('/')}`.normalize('NFKC').toLowerCase()
}

/** What an address is, before anything else is looked at: one of the API just as Sett writes it, one that only resembles such, or a page's. */
export function kindOf(url: string): 'api' | 'astray' | 'page' {
  const [path = ''] = url.split('?', 1)
  if (CANONICAL.test(path)) return 'api'
  if (!path.startsWith('/')) return 'astray'
  return /^\/api(?:[/#?]|$)/.test(tidied(path)) ? 'astray' : 'page'
}
