import { z } from 'zod'
import { exact, REPRESENTATION_IDS } from '../core/door'
import { CELL_IDS, LENGTHS, MOST_ENTRIES, MOST_STORY, SITUATIONS, STAGES, type Role } from '../core/story/index'
import { oneOf, uuid } from './fields'
import { HELP_LEVELS, MODES } from './levels'
import { MOST_WORK_MS } from './limits'
import { inPlainWords } from './plainly'
import { codeName, damaged, FILE_VERSION } from './schemas'
import { personInStorySchema, sceneSchema } from './scenes'

/** What was tried and is kept in the Daybook besides work at the Bench. Messages are read by teachers, so they are sentences. */

z.config({ customError: inPlainWords })

const ROLES = [...new Set(Object.values(SITUATIONS).flatMap((s) => s.roles))] as [Role, ...Role[]]
const amount = z
  .string()
  .max(40, 'A number is too long.')
  .regex(/^-?\d+(?:\/[1-9]\d*)?$/, 'An amount is a number.')
  .transform((text) => exact(text))
const amounts = z.partialRecord(z.enum(ROLES), amount)

const toldPlan = z.strictObject({
  cell: oneOf(CELL_IDS),
  amounts,
  before: amounts.optional(),
  scene: sceneSchema,
  people: z.tuple([personInStorySchema, personInStorySchema], 'Two people are in a story.'),
  seed: z.int().min(0).max(999_999),
  length: oneOf(LENGTHS),
  extra: z.boolean(),
  missing: z.enum(ROLES).optional(),
})
const ownPlan = z.strictObject({
  cell: oneOf(CELL_IDS),
  text: z.string().min(1, 'The story is missing.').max(MOST_STORY, `A story has at most ${MOST_STORY} characters.`),
  marks: z.partialRecord(z.enum(ROLES), z.int().min(0).max(99)),
})
const at = z
  .int('A time is a whole number of milliseconds.')
  .min(0, 'A time cannot be before the start.')
  .max(MOST_WORK_MS, 'A time lies more than a year after the start.')

/** A story as it was worked, as core/story has it. */
export const storyWorkSchema = z.strictObject({
  format: z.literal('sett-story', 'This is not a story of Sett.'),
  version: z.literal(1, 'This story is of another version.'),
  story: z.union([toldPlan, ownPlan], 'This is no story that Sett can tell again.'),
  text: z.string().max(2 * MOST_STORY),
  mode: oneOf(MODES),
  entries: z
    .array(z.strictObject({ at, stage: oneOf(STAGES), given: z.string().max(120, 'At most 120 characters.') }))
    .max(MOST_ENTRIES, `At most ${MOST_ENTRIES} entries.`),
})

const plain = (text: string): boolean => !/\p{Cc}/u.test(text.replace(/[\n\r\t]/g, ''))
const startedAt = z.iso
  .datetime({ error: 'The start is wanted as a date and time, like 2026-11-24T09:30:00Z.' })
  .refine((time) => time >= '1990' && time < '2100', 'The start lies before 1990 or beyond 2100. Is the clock right?')
  .transform((time) => new Date(time).toISOString())

const text = (what: string, most: number) =>
  z
    .string(`${what} is text.`)
    .max(most, `${what} has at most ${most} characters.`)
    .refine(plain, `${what} has signs in it that cannot be read.`)
/** A trial noted at the table: one try at something, right or not yet. */
export const tableWorkSchema = z.strictObject({
  format: z.literal('sett-trial', 'This is not a trial of Sett.'),
  version: z.literal(1, 'This trial is of another version.'),
  /** Which sitting it belongs to. */
  sitting: uuid,
  /** The step it is about, by its id; empty where it is about none. */
  step: z.string().regex(/^(?:[a-z0-9][a-z0-9-]{0,59})?$/, 'This is no step’s identifier.'),
  /** What was asked: a problem, or what a teacher calls it. */
  asked: text('What was asked', 200),
  material: z.union([oneOf(REPRESENTATION_IDS), z.literal('')]),
  /** How long it took, in milliseconds; 0 where it was not timed. */
  ms: z.int().min(0).max(MOST_WORK_MS),
})
/** What is noted of a sitting besides its trials. */
export const noteWorkSchema = z.strictObject({
  format: z.literal('sett-note', 'This is not a note of Sett.'),
  version: z.literal(1, 'This note is of another version.'),
  sitting: uuid,
  ms: z.int().min(0).max(MOST_WORK_MS),
  /** What was counted, and how often it was seen. */
  tallies: z
    .array(
      z.strictObject({
        name: text('What is counted', 40).min(1, 'What is counted has a name.'),
        count: z.int().min(0).max(9999),
      }),
    )
    .max(6, 'At most six things are counted.'),
})

const common = {
  id: uuid,
  learnerId: uuid,
  startedAt,
  help: oneOf(HELP_LEVELS),
  right: z.boolean('Right or not is wanted.'),
  note: text('The note', 2000),
}
const story = z.strictObject({ ...common, kind: z.literal('story'), work: storyWorkSchema })
const table = z.strictObject({ ...common, kind: z.literal('table'), work: tableWorkSchema })
const note = z.strictObject({ ...common, kind: z.literal('note'), work: noteWorkSchema })
/** A trial as it is sent: a story that was worked, a try noted at the table, or what was noted of a sitting. */
export const trialSchema = z.discriminatedUnion('kind', [story, table, note], {
  error: 'A trial is a story, a try at the table, or a note.',
})
export type Trial = z.output<typeof trialSchema>

/** So many are sent at once. */
export const MOST_TRIALS = 100
export const trialsSchema = z.strictObject({
  trials: z.array(trialSchema).min(1, 'Nothing was sent.').max(MOST_TRIALS, `At most ${MOST_TRIALS} at once.`),
})
/** The largest list of trials that is read, in bytes. */
export const MAX_TRIALS_BYTES = 2_000_000

/** A trial inside a file: the learner goes by code name there. */
const filed = { learnerId: true } as const
export const filedTrialSchema = z.discriminatedUnion('kind', [
  story.omit(filed).extend({ learner: codeName }),
  table.omit(filed).extend({ learner: codeName }),
  note.omit(filed).extend({ learner: codeName }),
])
export type FiledTrial = z.output<typeof filedTrialSchema>
export const trialFileSchema = z.strictObject({
  format: z.literal('sett-trials', 'This is not a file of trials.'),
  version: z.literal(FILE_VERSION, 'This file is of another version.'),
  // Each is checked by itself (filedTrialSchema), so that nobody waits for all of them.
  trials: z.array(z.unknown(), 'The trials are a list.'),
  damaged,
})
export const trialFileQuery = z.strictObject({ learner: uuid.optional() })
