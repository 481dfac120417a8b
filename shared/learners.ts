import { z } from 'zod'
import { REPRESENTATION_IDS } from '../core/door'
import { oneOf, uuid } from './fields'
import { inPlainWords } from './plainly'
import { codeName, handsSchema, wordsSchema } from './schemas'

/** Learners as a class keeps them: by code names, in groups, with what suits each. Messages are read by teachers, so they are sentences. */

z.config({ customError: inPlainWords })

/** What of a hand may differ from learner to learner. */
const ownHands = handsSchema.pick({ away: true, firstFinger: true, firstHand: true, joints: true })

const ms = (least: number, most: number, first: number) =>
  z
    .int('A time is a whole number of milliseconds.')
    .min(least, `At least ${least} milliseconds.`)
    .max(most, `At most ${most} milliseconds.`)
    .default(first)
/** A key as browsers name it: ` `, `Enter`, `F5`, `a`. */
const key = z.string().min(1, 'A switch acts as some key.').max(20, 'That is no key.')
/** How a learner reaches the screen and reads it. */
export const accessSchema = z.strictObject({
  /** No switch, one (things are lit by themselves), or two (one steps, one chooses). */
  switches: z.literal([0, 1, 2], 'None, one or two switches.').default(0),
  chooseKey: key.default(' '),
  stepKey: key.default('Enter'),
  /** Groups first and then what is in them, or one after another. */
  order: oneOf(['groups', 'each'] as const).default('groups'),
  /** How long each thing is lit, and the first of a round longer than the others. */
  pace: ms(300, 10_000, 1500),
  firstPause: ms(0, 5000, 700),
  /** With two switches: staying so long on a thing chooses it; 0 for never. */
  dwell: ms(0, 10_000, 0),
  /** A press of this length takes the last thing back. */
  longPress: ms(500, 5000, 1200),
  /** Names are said aloud as they are lit. */
  says: z.boolean().default(false),
  /** A press counts once it has lasted so long, and not again for so long after. */
  hold: ms(0, 3000, 0),
  again: ms(0, 3000, 0),
  /** 44 px as everything is, or 60. */
  targets: z.literal([44, 60], 'Targets are 44 or 60 pixels.').default(44),
  /** Nothing on the mat but what is worked with. */
  plain: z.boolean().default(false),
  /** Only what is asked, the mat and the newest line. */
  single: z.boolean().default(false),
  looks: oneOf(['room', 'light', 'dark', 'contrast'] as const).default('room'),
  still: z.boolean().default(false),
  grey: z.boolean().default(false),
  /** Whether letters and signs do something when no box is typed in (WCAG 2.1.4). */
  keys: z.boolean().default(true),
  /** The browser’s voice by its name; empty for the first one. */
  voice: z.string().max(120).default(''),
  /** Whether what a teacher recorded is played where it has all the words. */
  recorded: z.boolean().default(true),
  /** How fast it speaks: 1 is as usual. */
  rate: z.number().min(0.4, 'At least 0.4.').max(2, 'At most 2.').default(0.9),
})
export type Access = z.output<typeof accessSchema>

/** What suits a learner; where nothing is chosen it is as the room has it. */
export const learnerChoicesSchema = z.strictObject({
  hands: ownHands.nullable().default(null),
  words: wordsSchema.nullable().default(null),
  /** Materials that are not for this learner, and why in a word. */
  avoid: z.array(oneOf(REPRESENTATION_IDS)).max(REPRESENTATION_IDS.length).default([]),
  avoidWhy: z.string().trim().max(120, 'At most 120 characters.').default(''),
  /** How large letters are for this learner: 1 as usual, 2 and 3 larger. */
  letters: z.literal([1, 2, 3], 'Letters have three sizes.').default(1),
  access: accessSchema.prefault({}),
})
export type LearnerChoices = z.output<typeof learnerChoicesSchema>
export const NO_CHOICES: LearnerChoices = learnerChoicesSchema.parse({})

const groupName = z
  .string('A group has a name.')
  .trim()
  .min(1, 'A group has a name.')
  .max(40, 'A group’s name has at most 40 letters.')
  .refine((t) => !/\p{Cc}/u.test(t), 'The group’s name has signs in it that cannot be read.')
export const MOST_GROUPS = 8
const groups = z.array(groupName).max(MOST_GROUPS, `A learner is in at most ${MOST_GROUPS} groups.`)

/** A learner as the class keeps them; `version` counts the changes. */
export const learnerSchema = z.strictObject({
  id: uuid,
  codeName,
  groups,
  archived: z.boolean('Put away or not is wanted.'),
  choices: learnerChoicesSchema,
  version: z.int().min(0),
})
export type KeptLearner = z.output<typeof learnerSchema>

/** At most so many people come in from a school's list at once. */
export const MOST_IN_ROSTER = 2000
/**
 * Learners from a school's own list: its identifier of each, the groups, and a name only where the school says that names may be used.
 * Without one they get a code name here.
 */
export const rosterSchema = z.strictObject({
  /** Every class on the list by its title: a learner’s other groups are a teacher’s own, and stay. */
  classes: z.array(groupName).max(2000, 'At most 2,000 classes.'),
  learners: z
    .array(
      z.strictObject({
        rosterId: z.string().trim().min(1, 'An identifier is wanted.').max(255, 'An identifier has at most 255 signs.'),
        name: codeName.optional(),
        groups,
        gone: z.boolean(),
      }),
    )
    .min(1, 'Nobody is on the list.')
    .max(MOST_IN_ROSTER, `At most ${MOST_IN_ROSTER} people come in at once.`)
    .refine((all) => new Set(all.map((l) => l.rosterId)).size === all.length, 'An identifier is on the list twice.'),
})
export type Roster = z.output<typeof rosterSchema>
/** What became of a list, and under which code name each is kept. */
export interface RosterTaken {
  readonly added: number
  readonly changed: number
  readonly putAway: number
  readonly names: readonly { readonly rosterId: string; readonly codeName: string }[]
}

/** A moment of work that was chosen to be shown, with a word to it. */
export const momentSchema = z.strictObject({ word: z.string().trim().max(200, 'At most 200 characters.') })
export interface Moment {
  readonly record: string
  readonly word: string
}

/** How the Daybook was narrowed, kept under a name; `version` counts the changes. */
export const searchesSchema = z.strictObject({
  searches: z
    .array(
      z.strictObject({
        name: z.string().trim().min(1, 'A search has a name.').max(40, 'At most 40 letters.'),
        find: z.record(z.string().max(20), z.string().max(200)),
      }),
    )
    .max(30, 'At most 30 searches are kept.')
    .refine((all) => new Set(all.map((s) => s.name)).size === all.length, 'Two searches have the same name.'),
  version: z.int().min(0),
})
export type Searches = z.output<typeof searchesSchema>
export const SEARCHES_AT_FIRST: Searches = { searches: [], version: 0 }

/** Which learners are looked at together. */
export const glanceQuery = z.strictObject({
  group: z.string().max(40).optional(),
  after: z.string().max(60).optional(),
})
/** A learner at a glance. */
export interface Glanced {
  readonly learnerId: string
  /** The last sessions of what was tried last, the latest at the end. */
  readonly sessions: readonly { readonly day: string; readonly alone: number; readonly tried: number }[]
  /** Days of the last four weeks on which something was tried. */
  readonly seen: readonly string[]
  /** What was tried last: its step, and the day; null where nothing was within the weeks looked at. */
  readonly last: { readonly step: string; readonly day: string } | null
  /** What the figures of that step suggest, the most telling first. */
  readonly suggests: readonly string[]
  readonly goals: number
}
export interface Glance {
  readonly learners: readonly Glanced[]
  /** Where the next ones begin; null at the end. */
  readonly next: string | null
}
