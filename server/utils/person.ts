import { getCookie, type H3Event, setCookie, deleteCookie } from 'h3'
import type { Role } from '../../shared/roles'
import type { RecordHead } from '../db/records'
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
  /** The learners whom they reach: see, note and change; null for all. */
  readonly only: readonly string[] | null
  /** The groups whose learners they reach; null where they reach all learners. */
  readonly groups: readonly string[] | null
}

/** At a computer of one's own there is nothing to sign in to: whoever sits there keeps it. */
const AT_HOME: Asker = { id: null, name: 'this computer', role: 'keeper', only: null, groups: null }

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
    only: person.groups && store.reachedBy(person.groups, person.learners),
    groups: person.groups,
  }
}

/** Who asks, as the address has found it already (server/utils/route.ts). */
export const asker = (event: H3Event): Asker =>
  (event.context.asker as Asker | undefined) ?? refuse(401, 'Sign in first.')

/** The learners whom whoever asks reaches; null for all. */
export function reachOf(event: H3Event): readonly string[] | null {
  event.context.reachAsked = true
  return asker(event).only
}
/** Whether an answer was made knowing whom its asker reaches. */
export const reachWasAsked = (event: H3Event): boolean => event.context.reachAsked === true

/** Whether whoever asks reaches a learner. What is no learner's is staff's own practice, which is for all but helpers who have been given some learners. */
export function isReached(event: H3Event, learnerId: string | null): boolean {
  const only = reachOf(event)
  if (only === null) return true
  return learnerId === null ? asker(event).role === 'teacher' : only.includes(learnerId)
}

/** Stops where somebody does not reach a learner; to them there is no such learner. */
export function mustReach(event: H3Event, learnerId: string | null): void {
  if (!isReached(event, learnerId)) refuse(404, 'There is no such learner.')
}

/** What is listed of a record whose learner whoever asks reaches. Refuses (404) where there is none. */
export function reachedRecord(event: H3Event, id: string): RecordHead {
  const head = useStore().recordHead(id)
  return head && isReached(event, head.learnerId) ? head : refuse(404, 'There is no such record.')
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
