import { randomBytes } from 'node:crypto'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import { refuse } from './problem'

/** Passphrases are hashed one at a time, in Node's own threads: a flood of them leaves the other threads to everybody else. */

const scrypt = new Scrypt({})

/** So many may wait for their turn; the others are told to come again. */
export const MOST_WAITING = 30

/** A queue in which one piece of work is done at a time, and only so many wait. */
export function oneAtATime(most: number): <T>(work: () => Promise<T>) => Promise<T> {
  let waiting = 0
  let before: Promise<unknown> = Promise.resolve()
  return (work) => {
    if (waiting > most) refuse(503, 'Very many people are signing in just now. Try again in a moment.')
    waiting += 1
    const done = before.then(work).finally(() => (waiting -= 1))
    before = done.catch(() => {})
    return done
  }
}

const inTurn = oneAtATime(MOST_WAITING)

/** The hash of a passphrase that is kept. Refuses (503) where too many wait already. */
export const hashed = (passphrase: string): Promise<string> => inTurn(() => scrypt.make(passphrase.normalize('NFKC')))

/** What is verified where there is nobody of a name, so that a wrong name takes as long as a wrong passphrase. */
let nobodys: string | undefined

/** Whether a passphrase is the one that was hashed; never where there is none. Refuses (503) where too many wait already. */
export const matches = (hash: string | null, passphrase: string): Promise<boolean> =>
  inTurn(async () => {
    nobodys ??= await scrypt.make(randomBytes(16).toString('hex'))
    return (await scrypt.verify(hash ?? nobodys, passphrase.normalize('NFKC'))) && hash !== null
  })
