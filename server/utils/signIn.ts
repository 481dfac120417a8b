import { createHash, randomBytes, randomInt } from 'node:crypto'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible'
import type { Known } from '../db/people'
import { isShut } from './alone'
import { refuse } from './problem'
import type { Store } from './store'

/** How a session ends by itself: so long after it was last used, and so long after it began, in milliseconds. */
const IDLE_MS = 8 * 3_600_000
const LONGEST_MS = 7 * 86_400_000
/** How long an invitation is good for, and how often a session's use is written down, in milliseconds. */
const INVITED_MS = 7 * 86_400_000
const SEEN_MS = 60_000

const passphrases = new Scrypt({})
export const hashed = (passphrase: string): Promise<string> => passphrases.make(passphrase.normalize('NFKC'))

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
  if (now - session.seenAt > SEEN_MS && !isShut()) store.seen(kept, now)
  return store.person(session.personId)
}

/** Wrong tries: five for a name and twenty from an address in a quarter of an hour; the lock opens by itself a quarter of an hour later. */
const QUARTER = 15 * 60
const byName = new RateLimiterMemory({ points: 5, duration: QUARTER, blockDuration: QUARTER })
const byAddress = new RateLimiterMemory({ points: 20, duration: QUARTER, blockDuration: QUARTER })

const minutes = (ms: number): string => {
  const n = Math.max(1, Math.ceil(ms / 60_000))
  return `${n} ${n === 1 ? 'minute' : 'minutes'}`
}

/** Stops where a name or an address has been tried too often. */
async function tried(name: string, address: string): Promise<void> {
  for (const [limiter, key, status] of [
    [byName, name, 423],
    [byAddress, address, 429],
  ] as const) {
    const so = await limiter.get(key)
    if (so && so.remainingPoints <= 0)
      refuse(status, `That was wrong too often. It opens again in ${minutes(so.msBeforeNext)}.`)
  }
}

/** Counts a wrong try. */
async function wrong(name: string, address: string): Promise<void> {
  for (const [limiter, key] of [
    [byName, name],
    [byAddress, address],
  ] as const)
    await limiter.consume(key).catch((spent: unknown) => {
      if (!(spent instanceof RateLimiterRes)) throw spent
    })
}

/** Hashed once, to be verified where there is no such person, so that a wrong name takes as long as a wrong passphrase. */
let nobody: Promise<string> | undefined

/** Tells who somebody is by name and passphrase. Refuses wrong ones alike, whichever of the two was wrong. */
export async function recognised(store: Store, name: string, passphrase: string, address: string): Promise<Known> {
  const person = store.personNamed(name)
  const key = person?.id ?? `?${name.slice(0, 40).toLowerCase()}`
  await tried(key, address)
  nobody ??= hashed(randomBytes(16).toString('hex'))
  const right = await passphrases.verify(person?.passphrase ?? (await nobody), passphrase.normalize('NFKC'))
  if (person?.passphrase && right) {
    await byName.delete(key)
    return person
  }
  await wrong(key, address)
  return refuse(401, 'That name and passphrase do not go together.')
}

/** The person whom a code lets in; wrong codes are counted like wrong passphrases. */
export async function letIn(store: Store, code: string, address: string): Promise<Known> {
  await tried('code', address)
  const person = invitedBy(store, code)
  if (person) return person
  await byAddress.consume(address).catch((spent: unknown) => {
    if (!(spent instanceof RateLimiterRes)) throw spent
  })
  return refuse(401, 'That code is not good any more. A keeper can make a new one.')
}
