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
/** The groups whose learners somebody reaches; null for all learners. */
const groupsGiven = z.array(z.string().trim().min(1).max(40)).max(40, 'At most 40 groups.').nullable().default(null)

export const signInSchema = z.strictObject({ name: personName, passphrase: anyPassphrase })
export const codeSchema = z.strictObject({
  code: z.string('The code is wanted.').min(4, 'The code is wanted.').max(60, 'That is no code of Sett’s.'),
  passphrase: newPassphrase,
})
export const changeSchema = z.strictObject({ passphrase: anyPassphrase, next: newPassphrase })
export const firstPersonSchema = z.strictObject({ name: personName, passphrase: newPassphrase })
export const newPersonSchema = z.strictObject({ name: personName, role, groups: groupsGiven, learners: learnersGiven })
export const personChangeSchema = z.strictObject({ role, groups: groupsGiven, learners: learnersGiven })

/** Somebody who may use Sett. */
export interface Person {
  readonly id: string
  readonly name: string
  readonly role: Role
  /** The groups whose learners they reach; null for all learners. */
  readonly groups: readonly string[] | null
  /** Learners whom they reach besides, one by one. */
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

/** Why a backup was made: by the daily rule, by hand, or before another one was put back. Each kind is counted by itself. */
export const BACKUP_KINDS = ['daily', 'hand', 'before'] as const
export type BackupKind = (typeof BACKUP_KINDS)[number]
export interface Backup {
  readonly name: string
  readonly kind: BackupKind
  readonly at: string
  readonly bytes: number
}
/** A backup that was just made, with how many records and trials in it cannot be read any more because of a damaged disk. */
export interface MadeBackup extends Backup {
  readonly damaged: number
}
/** What opens doors (people, passphrases) stays as it is now, unless somebody says that it is to come from the backup too. */
export const restoreSchema = z.strictObject({
  name: z.string().regex(/^sett-[0-9TZ-]{10,30}(?:-hand|-before)?\.db$/, 'There is no backup of that name.'),
  people: oneOf(['now', 'backup'] as const).default('now'),
})
export type PeopleFrom = z.output<typeof restoreSchema>['people']

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
  /** Other files beside the database from which it was erased too: backups and other copies. */
  readonly copies: number
  /** Files beside the database that could not be read, by name: whether the learner is in them nobody can say. */
  readonly unread: readonly string[]
  readonly at: string
}
