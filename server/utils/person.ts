import { getCookie, type H3Event, setCookie, deleteCookie } from 'h3'
import type { Role } from '../../shared/roles'
import { onNetwork } from './hosts'
import { refuse } from './problem'
import { personBy } from './signIn'
import type { Store } from './store'
import { useStore } from './store'

const COOKIE = 'sett_session'

/** Who asks: a person signed in, or whoever sits at this computer where nobody is asked to sign in. */
export interface Asker {
  readonly id: string | null
  readonly name: string
  readonly role: Role
  /** The learners that they may see and note for; null for all. */
  readonly only: readonly string[] | null
}

/** At a computer of one's own there is nothing to sign in to: whoever sits there keeps it. */
const AT_HOME: Asker = { id: null, name: 'this computer', role: 'keeper', only: null }

/** Headers of a proxy are believed only where SETT_PROXY says that one stands before Sett. */
const behindProxy = (): boolean => process.env.SETT_PROXY === '1'
const said = (event: H3Event, name: string): string | undefined => {
  const value = event.node.req.headers[name]
  return (Array.isArray(value) ? value.at(-1) : value)?.split(',').at(-1)?.trim()
}

/** The address a request comes from. */
export const addressOf = (event: H3Event): string =>
  (behindProxy() ? said(event, 'x-forwarded-for') : undefined) ?? event.node.req.socket.remoteAddress ?? ''

/** Whether a request comes over TLS, to Sett itself or to the proxy before it. */
const isSecure = (event: H3Event): boolean =>
  'encrypted' in event.node.req.socket || (behindProxy() && said(event, 'x-forwarded-proto') === 'https')

/** Who asks; undefined where they have to sign in first. */
export function askerOf(event: H3Event, store: Store): Asker | undefined {
  // Where others can reach it, a database without a keeper (an old backup, say) lets nobody in rather than everybody.
  if (!store.hasKeeper()) return onNetwork() ? undefined : AT_HOME
  const token = getCookie(event, COOKIE)
  const person = token ? personBy(store, token) : undefined
  if (!person) return undefined
  return {
    id: person.id,
    name: person.name,
    role: person.role,
    only: person.role === 'helper' ? person.learners : null,
  }
}

/** Who asks, where the door has let them in already (server/middleware/2.person.ts). */
export const asker = (event: H3Event): Asker =>
  (event.context.asker as Asker | undefined) ?? refuse(401, 'Sign in first.')

/** Stops where somebody may not see or note for a learner; to them there is no such learner. */
export function mustReach(event: H3Event, learnerId: string | null): void {
  const { only } = asker(event)
  if (only !== null && (learnerId === null || !only.includes(learnerId))) refuse(404, 'There is no such learner.')
}

/** Gives the browser a session's token, out of reach of any script and sent to this site alone. */
export const keepSession = (event: H3Event, token: string): void =>
  setCookie(event, COOKIE, token, {
    httpOnly: true,
    sameSite: 'strict',
    secure: isSecure(event),
    path: '/',
    maxAge: 7 * 86_400,
  })
export const sessionToken = (event: H3Event): string | undefined => getCookie(event, COOKIE)
export const dropSession = (event: H3Event): void => deleteCookie(event, COOKIE, { path: '/' })

/** Notes what was done, by whoever asks or by the one named. */
export function noteDone(
  event: H3Event,
  what: string,
  about = '',
  who = (event.context.asker as Asker | undefined)?.name ?? '',
): void {
  useStore().note({ at: Date.now(), who, what, about })
}
