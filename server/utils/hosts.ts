import { hostname, networkInterfaces } from 'node:os'

/** Names by which a machine calls itself. */
const LOOPBACK = ['localhost', '127.0.0.1', '::1']
const EVERYWHERE = ['0.0.0.0', '::', '']

/** The name or address in a Host header, without its port; undefined where it is none. */
export function nameIn(host: string): string | undefined {
  const [, six, name] = /^(?:\[([0-9a-f:.]+)\]|([a-z0-9.-]+))(?::\d{1,5})?$/i.exec(host) ?? []
  return (six ?? name)?.toLowerCase()
}

/** Whether a machine that listens there is reached from itself only. */
export const isLoopback = (host: string): boolean => LOOPBACK.includes(host.toLowerCase())

/** Where the server listens: on this machine only, unless it is told otherwise. */
export const listensOn = (env: NodeJS.ProcessEnv = process.env): string => env.NITRO_HOST || env.HOST || '127.0.0.1'

/**
 * Whether anybody but whoever sits at this machine can reach Sett: it listens on a network, stands behind a proxy, or has been given
 * names of its own. Then everybody signs in.
 */
export const onNetwork = (env: NodeJS.ProcessEnv = process.env): boolean =>
  !isLoopback(listensOn(env)) || env.SETT_PROXY === '1' || (env.SETT_NAMES ?? '').trim() !== ''

/**
 * The names this server answers to: those of its own machine, and on a network those in SETT_NAMES. Any page on the web can point a
 * name of its own at 127.0.0.1, so a request for another name is not answered.
 */
export function namesOf(env: NodeJS.ProcessEnv = process.env): ReadonlySet<string> {
  const host = listensOn(env)
  const told = (env.SETT_NAMES ?? '').split(/[\s,]+/).filter((name) => name !== '')
  const own = EVERYWHERE.includes(host)
    ? [hostname(), ...Object.values(networkInterfaces()).flatMap((all) => (all ?? []).map((a) => a.address))]
    : [host]
  return new Set([...LOOPBACK, ...own, ...told].map((name) => name.toLowerCase().replace(/%.*$/, '')))
}

/** What a request says of where it comes from. */
export interface Arrival {
  readonly host: string | undefined
  readonly origin: string | undefined
  /** `Sec-Fetch-Site`, `-Mode` and `-Dest`, as browsers send them. */
  readonly site: string | undefined
  readonly mode: string | undefined
  readonly dest: string | undefined
  readonly method: string
  readonly api: boolean
}

/** Why a request is turned away at the door; undefined where it may come in. */
export function turnedAway(
  { host, origin, site, mode, dest, method, api }: Arrival,
  names: ReadonlySet<string>,
): { readonly status: 403 | 421; readonly detail: string } | undefined {
  const name = nameIn(host ?? '')
  if (name === undefined || !names.has(name))
    return { status: 421, detail: 'This Sett does not answer to that name. SETT_NAMES says which names it has.' }
  if (origin !== undefined && !isOwn(origin, host!))
    return { status: 403, detail: 'Another website asked for this. Sett answers its own pages only.' }
  if (site === undefined || site === 'same-origin' || site === 'none') return undefined
  // A link on another page may open Sett; nothing else on it may ask for anything.
  const opens = !api && method === 'GET' && mode === 'navigate' && (dest === 'document' || dest === undefined)
  return opens ? undefined : { status: 403, detail: 'Another website asked for this. Sett answers its own pages only.' }
}

/** Whether an origin is this very server: the same name and port. */
function isOwn(origin: string, host: string): boolean {
  try {
    const url = new URL(origin)
    const port = /:\d+$/.test(host) ? host : `${host}:${url.protocol === 'https:' ? 443 : 80}`
    const its = url.port === '' ? `${url.hostname}:${url.protocol === 'https:' ? 443 : 80}` : url.host
    return its.toLowerCase() === port.toLowerCase()
  } catch {
    return false
  }
}
