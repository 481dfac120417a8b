import { z } from 'zod'
import { RULES_AT_FIRST, SUGGESTED, type Tried } from '../core/progress/index'
import { REPRESENTATION_IDS } from '../core/door'
import { oneOf, uuid } from './fields'
import { HELP_LEVELS } from './levels'
import { inPlainWords } from './plainly'

/** Goals, decisions, and what a learner tried, day by day. Messages are read by teachers, so they are sentences. */

z.config({ customError: inPlainWords })

const day = z.iso.date('A day is wanted, like 2026-11-24.')
/** What a learner is to reach, measurably: of a step or of all that is tried, so much without help, by a day. */
export const goalSchema = z.strictObject({
  id: uuid,
  learnerId: uuid,
  step: z.string().regex(/^(?:[a-z0-9][a-z0-9-]{0,59})?$/, 'This is no step’s identifier.'),
  /** With which material; empty where any will do. */
  material: z.union([oneOf(REPRESENTATION_IDS), z.literal('')]).default(''),
  /** The most help with which it counts as reached. */
  help: oneOf(HELP_LEVELS).default('independent'),
  share: z.number().min(0.1, 'At least 10 of 100.').max(1, 'At most all of them.'),
  set: day,
  by: day,
  /** The goal in a teacher's own words, where there are some. */
  words: z.string().trim().max(300, 'At most 300 characters.'),
  archived: z.boolean(),
  version: z.int().min(0),
})
export type KeptGoal = z.output<typeof goalSchema>

export const ANSWERS = ['accepted', 'later', 'refused'] as const
/** What a teacher decided about what the figures suggest. */
export const decisionSchema = z.strictObject({
  id: uuid,
  learnerId: uuid,
  madeAt: z.iso.datetime('The time wants a date and a time, like 2026-11-24T09:30:00.000Z.'),
  kind: oneOf(SUGGESTED),
  step: z.string().max(60),
  answer: oneOf(ANSWERS),
  /** Why, in a word. */
  word: z.string().trim().max(200, 'At most 200 characters.'),
  /** The rule and the figures it went by, as they were told. */
  figures: z.string().max(600),
})
export type Decision = z.output<typeof decisionSchema>

/** Where something was tried. */
export const TRIED_AT = ['bench', 'stories', 'table', 'marking', 'rehearsing'] as const
export type TriedAt = (typeof TRIED_AT)[number]

export const progressQuery = z.strictObject({
  learner: uuid,
  step: z
    .string()
    .regex(/^[a-z0-9][a-z0-9-]{0,59}$/, 'This is no step’s identifier.')
    .optional(),
  from: day.optional(),
  /** Only what was tried there. */
  at: oneOf(TRIED_AT).optional(),
})
export interface Progress {
  readonly tried: readonly Tried[]
  /** Where something was tried, in their order. */
  readonly places: readonly TriedAt[]
  /** The day on which each kind of thing was tried last. */
  readonly seen: readonly string[]
  readonly slips: readonly { readonly slip: string; readonly day: string; readonly count: number }[]
  readonly goals: readonly KeptGoal[]
  readonly decisions: readonly Decision[]
  /** Steps that something was tried of, the one tried last first. */
  readonly steps: readonly string[]
}

/** As what everything that was tried is given out. */
export const triedQuery = z.strictObject({
  learner: uuid.optional(),
  as: oneOf(['csv', 'xapi'] as const).default('csv'),
})

const share = z.number('A share is a number.').min(0.1, 'At least 10 of 100.').max(1, 'At most all of them.')
const sessions = z.int('A whole number is wanted here.').min(1, 'At least one.').max(10, 'At most ten.')
/** The rules that suggestions go by, as a school sets them; `version` counts the changes. */
export const rulesSchema = z.strictObject({
  moveOnShare: share,
  moveOnSessions: sessions,
  concreteShare: share,
  concreteSessions: sessions,
  aimSessions: sessions,
  checkWeeks: z.array(z.int().min(1).max(52)).max(4, 'At most four times.'),
  leastTrials: z.int().min(1).max(20),
  version: z.int().min(0),
})
export type KeptRules = z.output<typeof rulesSchema>
export const KEPT_RULES_AT_FIRST: KeptRules = {
  ...RULES_AT_FIRST,
  checkWeeks: [...RULES_AT_FIRST.checkWeeks],
  version: 0,
}
