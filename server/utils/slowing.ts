import type { Tried } from '../db/tries'
import { DAY_MS } from '../../shared/days'

/**
 * How wrong tries at signing in are slowed down. Each kind of key has some that are free; after them the wait grows, or stays, and nothing
 * is ever shut for good. Common practice, no source.
 */
interface Pace {
  /** So many wrong ones in a row are answered at once. */
  readonly free: number
  /** The first wait, and the longest, in milliseconds; each wrong one doubles it. */
  readonly first: number
  readonly longest: number
}
export const PACES = {
  /** One name from one address. */
  pair: { free: 5, first: 1000, longest: 15 * 60_000 },
  /** One name, from wherever. */
  name: { free: 20, first: 30_000, longest: 30_000 },
  /** One address, for whatever name. */
  address: { free: 30, first: 5000, longest: 5000 },
} as const satisfies Readonly<Record<string, Pace>>

/** A quiet day makes all as it was before. */
const FORGOTTEN_MS = DAY_MS

/** How long until the next try under a key is answered, in milliseconds; 0 where it is at once. */
export function waitOf({ free, first, longest }: Pace, tried: Tried | undefined, now: number): number {
  if (!tried || tried.wrong < free || now - tried.triedAt > FORGOTTEN_MS) return 0
  const wait = Math.min(longest, first * 2 ** Math.min(30, tried.wrong - free))
  return Math.max(0, tried.triedAt + wait - now)
}

/** What is kept of a key after one more try that counts as wrong until it is known to be right. */
export const countedAt = (tried: Tried | undefined, now: number): Tried => ({
  wrong: !tried || now - tried.triedAt > FORGOTTEN_MS ? 1 : tried.wrong + 1,
  triedAt: now,
  rightAt: tried?.rightAt ?? null,
})
