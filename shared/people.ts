import { z } from 'zod'
import { oneOf, uuid } from './fields'
import { LEAST_PASSPHRASE } from './limits'
import { inPlainWords } from './plainly'
import { ROLES, type Role } from './roles'

/** What passes through the door of people and of what is kept. Messages are read by keepers and teachers, so they are sentences. */

z.config({ customError: inPlainWords })

const personName = z
  .string('A name is wanted.')
  .trim()
  .min(1, 'A name is wanted.')
  .max(40, 'A name has at most 40 letters.')
  .normalize()
  .regex(/^[\p{L}\p{N}](?:[\p{L}\p{M}\p{N} .'’-]|\u200c|\u200d)*$/u, 'A name is made of letters and digits.')
const newPassphrase = z
  .string('A passphrase is wanted.')
  .min(LEAST_PASSPHRASE, `A passphrase has at least ${LEAST_PASSPHRASE} characters: three or four words do.`)
  .max(200, 'A passphrase has at most 200 characters.')
const anyPassphrase = z.string('The passphrase is wanted.').min(1, 'The passphrase is wanted.').max(200)
const role = oneOf(ROLES)
const learnersGiven = z.array(uuid).max(500).default([])

export const signInSchema = z.strictObject({ name: personName, passphrase: anyPassphrase })
export const codeSchema = z.strictObject({
  code: z.string('The code is wanted.').min(4, 'The code is wanted.').max(60, 'That is no code of Sett’s.'),
  passphrase: newPassphrase,
})
export const changeSchema = z.strictObject({ passphrase: anyPassphrase, next: newPassphrase })
export const firstPersonSchema = z.strictObject({ name: personName, passphrase: newPassphrase })
export const newPersonSchema = z.strictObject({ name: personName, role, learners: learnersGiven })
export const personChangeSchema = z.strictObject({ role, learners: learnersGiven })

/** Somebody who may use Sett. */
export interface Person {
  readonly id: string
  readonly name: string
  readonly role: Role
  /** The learners a helper is there for. */
  readonly learners: readonly string[]
  /** Whether the invitation has not been taken up yet. */
  readonly waiting: boolean
}

/** Who is signed in. */
export interface Session {
  /** Whether people sign in here at all. */
  readonly asked: boolean
  readonly person: Pick<Person, 'name' | 'role'> | null
}

/** Something that was done, by whom, and what it was done to. */
export interface Happening {
  readonly id: number
  /** In milliseconds. */
  readonly at: number
  readonly who: string
  readonly what: string
  readonly about: string
}
export const happeningQuery = z.strictObject({ before: z.coerce.number().int().min(1).optional() })

/* --- keeping --- */

/** What a keeper has set: how many backups are kept, how long records are (0 for good), and how long what happened is, in days and months. */
export const keepingSchema = z.strictObject({
  backups: z
    .int('How many backups are kept is a number.')
    .min(2, 'At least two backups are kept.')
    .max(100, 'At most 100 backups are kept.'),
  recordMonths: z
    .int('How long records are kept is a number of months.')
    .min(0)
    .max(240, 'Records are kept for 20 years at most, or for good.'),
  logDays: z
    .int('How long the log is kept is a number of days.')
    .min(7, 'The log is kept for a week at least.')
    .max(3650),
})
export type Keeping = z.infer<typeof keepingSchema>
export const KEEPING_AT_FIRST: Keeping = { backups: 14, recordMonths: 0, logDays: 180 }

export interface Backup {
  readonly name: string
  readonly at: string
  readonly bytes: number
}
export const restoreSchema = z.strictObject({
  name: z.string().regex(/^sett-[0-9TZ-]{10,30}\.db$/, 'There is no backup of that name.'),
})

/** What was erased, as it is shown before and handed over after. */
export interface Receipt {
  readonly learner: string
  readonly records: number
  /** Stories that were worked, and trials noted at the table. */
  readonly trials: number
  readonly notes: number
  readonly answers: number
  /** Marked pages of answers. */
  readonly markings: number
  readonly lessons: number
  /** Words and sentences said for them, as sound. */
  readonly recordings: number
  /** Earlier copies of the data from which it was erased too. */
  readonly copies: number
  readonly at: string
}
