import { createHash, randomBytes, randomInt } from 'node:crypto'
import { HOUR_MS, WEEK_MS } from '../../shared/days'
import { folded } from '../../shared/schemas'
import type { Known } from '../db/people'
import { isDamaged, isShut } from './alone'
import { matches } from './hashing'
import { refuse } from './problem'
import { countedAt, PACES, waitOf } from './slowing'
import type { Store } from './store'

/** How a session ends by itself: so long after it was last used, and so long after it began, in milliseconds. */
const IDLE_MS = 8 * HOUR_MS
const LONGEST_MS = WEEK_MS
/** How long an invitation is good for, and how often a session's use is written down, in milliseconds. */
const INVITED_MS = WEEK_MS
const SEEN_MS = 60_000

/** What is kept of a secret that has enough chance in it by itself: a token, a code. */
export const digest = (secret: string): string => createHash('sha256').update(secret).digest('hex')

/** Letters and digits that are not taken for each other. */
const SIGNS = '23456789ABCDEFGHJKMNPQRSTVWXYZ'
/** A code to be used once: 98 bits, in four groups of five signs. */
export const newCode = (): string =>
  Array.from({ length: 4 }, () => Array.from({ length: 5 }, () => SIGNS[randomInt(SIGNS.length)]).join('')).join('-')
const plainCode = (typed: string): string => typed.toUpperCase().replace(/[^0-9A-Z]/g, '')

/** Invites a person: the code that lets them choose a passphrase. Only its digest is kept. */
export function inviteTo(store: Store, person: string, now = Date.now()): string {
  const code = newCode()
  store.invite(person, digest(plainCode(code)), now + INVITED_MS)
  return code
}

/** The person whom a code was made for, while it is good. */
export function invitedBy(store: Store, code: string, now = Date.now()): Known | undefined {
  const id = store.invited(digest(plainCode(code)), now)
  return id === undefined ? undefined : store.person(id)
}

/** Begins a session: its token, of which only the digest is kept. */
export function beginSession(store: Store, person: string, now = Date.now()): string {
  const token = randomBytes(32).toString('base64url')
  store.beginSession(person, digest(token), now)
  return token
}

/** Whose session a token is, while it lasts. */
export function personBy(store: Store, token: string, now = Date.now()): Known | undefined {
  const kept = digest(token)
  const session = store.sessionOf(kept, now - LONGEST_MS, now - IDLE_MS)
  if (!session) return undefined
  if (now - session.seenAt > SEEN_MS && !isShut() && !isDamaged()) store.seen(kept, now)
  return store.person(session.personId)
}

/** A network of an address: of IPv6 its first half, since one computer has the whole second half to choose from. */
export function networkOf(address: string): string {
  if (!address.includes(':') || /^::ffff:\d+\./i.test(address)) return address.replace(/^::ffff:/i, '')
  const [head = '', tail] = address.toLowerCase().split('::') as [string, string?]
  const left = head === '' ? [] : head.split(':')
  const right = tail === undefined || tail === '' ? [] : tail.split(':')
  const all =
    tail === undefined ? left : [...left, ...Array<string>(8 - left.length - right.length).fill('0'), ...right]
  return all.slice(0, 4).join(':')
}

const waitText = (ms: number): string => {
  const seconds = Math.ceil(ms / 1000)
  if (seconds < 60) return `${seconds} ${seconds === 1 ? 'second' : 'seconds'}`
  const minutes = Math.ceil(seconds / 60)
  return `${minutes} ${minutes === 1 ? 'minute' : 'minutes'}`
}

const pairKey = (name: string, address: string): string => digest(`pair ${name} ${networkOf(address)}`)
/** Writes down that somebody has come in from an address: their count begins anew. */
const cameIn = (store: Store, name: string, address: string, now: number): void =>
  store.keepTries(pairKey(name, address), { wrong: 0, triedAt: now, rightAt: now })

/** A try at signing in that has been counted as wrong, until it turns out right. */
interface Counted {
  /** It was right: the count of who it was begins anew, and theirs is taken off the others. */
  readonly right: () => void
  /** It was never looked at. */
  readonly undone: () => void
}

/**
 * Counts a try before anything is worked out, so that many at once are no more than many one after another. Whoever has signed in from
 * this address before waits only for their own wrong tries, and not for what strangers do. Refuses (429) where it is too soon.
 */
export function countTry(store: Store, name: string, address: string, now = Date.now()): Counted {
  const keys = {
    pair: pairKey(name, address),
    name: digest(`name ${name}`),
    address: digest(`address ${networkOf(address)}`),
  }
  const kinds = Object.keys(keys) as (keyof typeof keys)[]
  return store.db.transaction((): Counted => {
    const before = kinds.map((kind) => ({ kind, key: keys[kind], tried: store.triesOf(keys[kind]) }))
    const isKnown = before.some(({ kind, tried }) => kind === 'pair' && tried?.rightAt)
    const waits = before.map(({ kind, tried }) => (isKnown && kind !== 'pair' ? 0 : waitOf(PACES[kind], tried, now)))
    const wait = Math.max(...waits)
    if (wait > 0) refuse(429, `That was wrong several times. Try again in ${waitText(wait)}.`)
    for (const { key, tried } of before) store.keepTries(key, countedAt(tried, now))
    const less = (key: string): void => {
      const tried = store.triesOf(key)
      if (tried) store.keepTries(key, { ...tried, wrong: Math.max(0, tried.wrong - 1) })
    }
    return {
      right: store.db.transaction(() => {
        cameIn(store, name, address, now)
        less(keys.name)
        less(keys.address)
      }),
      undone: store.db.transaction(() => Object.values(keys).forEach((key) => less(key))),
    }
  })()
}

/** Tells who somebody is by name and passphrase. Refuses wrong ones alike, whichever of the two was wrong, and writes each down. */
export async function recognised(store: Store, name: string, passphrase: string, address: string): Promise<Known> {
  const person = store.personNamed(name)
  const counted = countTry(store, person?.id ?? folded(name).slice(0, 40), address)
  let right: boolean
  try {
    right = await matches(person?.passphrase ?? null, passphrase)
  } catch (error) {
    counted.undone()
    throw error
  }
  if (person && right) {
    counted.right()
    return person
  }
  // What was typed for a name may be a passphrase in the wrong box, so only a name that somebody has is written down.
  store.note({ at: Date.now(), who: person?.name ?? 'somebody', what: 'tried a wrong passphrase', about: '' })
  return refuse(401, 'That name and passphrase do not go together.')
}

/** What a code opens: whose it is, and taking it up, which only the first of several at once can do. */
export interface Opened {
  readonly person: Known
  /** Sets the passphrase of whoever the code was made for, and uses the code up. Refuses (401) where somebody was quicker. */
  readonly takeUp: (hash: string) => void
}

const USED_UP = 'That code is not good any more. A keeper can make a new one.'

/** Looks a code up; wrong ones are counted and written down like wrong passphrases. A good code waits for nobody's wrong tries. */
export function openedBy(store: Store, code: string, address: string, now = Date.now()): Opened {
  const person = invitedBy(store, code, now)
  if (!person) {
    countTry(store, 'code', address, now)
    store.note({ at: now, who: 'somebody', what: 'tried a wrong code', about: '' })
    return refuse(401, USED_UP)
  }
  return {
    person,
    takeUp: (hash) => {
      if (!store.takeUp(digest(plainCode(code)), person.id, hash, now)) refuse(401, USED_UP)
      cameIn(store, person.id, address, now)
    },
  }
}
