import type { H3Event } from 'h3'
import { refuse } from './problem'
import type { Store } from './store'

/** Whoever writes and whoever works on the whole database at once: the ones wait for the other, and readers for neither. */

/** Requests that may write and are being answered. */
const writers = new Set<H3Event>()
let emptied: (() => void) | undefined
/** Until when nothing may be written; undefined where it may. */
let shut: Promise<void> | undefined

/** How long writers that are at it already are waited for, in milliseconds; one that takes longer is told to try again. */
const PATIENCE_MS = 5000

/** Whether nothing may be written just now. */
export const isShut = (): boolean => shut !== undefined

/** What is wrong with the database, where it was found to be damaged while it was in use: then nothing more is written to it. */
let damage: string | undefined
export const isDamaged = (): boolean => damage !== undefined
/** Has nothing written from now on, because the database is damaged. */
export const holdWrites = (sentence: string): void => void (damage = sentence)
/** Has things written again: a whole database is in place. */
export const letWrite = (): void => void (damage = undefined)

/** Lets a request that may write go on as soon as nobody works on the whole database. */
export async function mayWrite(event: H3Event): Promise<void> {
  if (damage !== undefined) refuse(503, `${damage} Nothing more is written to it. Restore a backup.`)
  let gone = event.node.res.destroyed
  event.node.res.once('close', () => {
    gone = true
    writesLater(event)
  })
  while (shut) await shut
  if (!gone) writers.add(event)
}

/** Writes something that no request asked for, as soon as nobody works on the whole database. */
export async function whenOpen(write: () => void): Promise<void> {
  while (shut) await shut
  if (!isDamaged()) write()
}

/** Says of a request that it writes nothing before it works on the whole. */
export function writesLater(event: H3Event): void {
  writers.delete(event)
  if (writers.size === 0) emptied?.()
}

/**
 * Works on the whole database while nobody writes. The request that asks for it does not wait for itself. Which store it is, is asked when
 * its turn has come: what it waited for may have put another database in place.
 */
export async function alone<T>(
  storeNow: () => Store,
  event: H3Event | undefined,
  work: (store: Store) => Promise<T>,
): Promise<T> {
  if (event) writesLater(event)
  const before = shut
  let open!: () => void
  const mine = Promise.all([before, new Promise<void>((done) => (open = done))]).then(() => {})
  shut = mine
  await before
  try {
    await writersGone()
    const store = storeNow()
    // Whoever writes all the same is told so at once; waiting for it would hold up everybody else.
    store.db.pragma('busy_timeout = 0')
    try {
      return await work(store)
    } finally {
      if (store.db.open) store.db.pragma('busy_timeout = 5000')
    }
  } finally {
    if (shut === mine) shut = undefined
    open()
  }
}

async function writersGone(): Promise<void> {
  if (writers.size === 0) return
  let patience: NodeJS.Timeout | undefined
  await new Promise<void>((done) => {
    emptied = done
    patience = setTimeout(done, PATIENCE_MS)
  })
  clearTimeout(patience)
  emptied = undefined
}
