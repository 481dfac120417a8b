import { z } from 'zod'
import { MOST_STEPS, STRANDS, type Course, type Limits, type Said, type StepStanding } from '../core/course/index'
import { REPRESENTATION_IDS, WAY_IDS } from '../core/door'
import { CELL_IDS } from '../core/story/index'
import { ident, oneOf, uuid } from './fields'
import { inPlainWords } from './plainly'

/** What passes through the door of courses. Messages are read by teachers, so they are sentences. */

z.config({ customError: inPlainWords })

const line = (what: string, most: number) =>
  z.string(`${what} is text.`).trim().max(most, `${what} has at most ${most} characters.`)
const named = (what: string, most: number) => line(what, most).min(1, `${what} is wanted.`)
const some = <T extends z.ZodType>(of: T, most: number, what: string) =>
  z.array(of, `${what} are a list.`).max(most, `There are at most ${most} ${what.toLowerCase()}.`)

/** Limits as they come; whether they can be is looked at by the setter, which knows them. */
const limits = z
  .record(z.string().max(30), z.json(), 'Limits are names with what each of them is.')
  .refine((l) => JSON.stringify(l).length <= 2000, 'These limits are too long.')
  .transform((l) => l as unknown as Limits)

const stepSchema = z.strictObject({
  id: ident,
  title: named('A step’s title', 80),
  short: named('A step’s short name', 40).optional(),
  sample: named('A step’s sample problem', 80).optional(),
  strand: oneOf(STRANDS),
  limits,
  restsOn: some(ident, 20, 'Steps to rest on'),
  materials: some(oneOf(REPRESENTATION_IDS), 12, 'Materials').min(1, 'A step wants a material.'),
  onlyWith: z.literal(true).optional(),
  ways: some(oneOf(WAY_IDS), 12, 'Ways'),
  say: some(named('What is said', 200), 12, 'Things to say'),
  ask: some(named('What is asked', 200), 12, 'Things to ask'),
  usual: some(ident, 12, 'Usual mistakes'),
  stories: some(oneOf(CELL_IDS), 45, 'Kinds of story').optional(),
  serves: some(named('A statement', 120), 12, 'Statements'),
  moveOn: z.strictObject({ share: z.number().min(0.5).max(1), sessions: z.int().min(1).max(10) }).optional(),
  hidden: z.boolean().optional(),
})

/** A school's course. */
export const courseSchema = z.strictObject({
  id: ident,
  name: named('A course’s name', 60),
  about: line('What is said of a course', 300),
  steps: some(stepSchema, MOST_STEPS, 'Steps').min(1, 'A course has one step at least.'),
})

/** A course as it is sent to be kept: `version` is the one it was changed from, 0 where it is new. */
export const courseToKeep = courseSchema.extend({ version: z.int().min(0) })
export type KeptCourse = Course & { readonly version: number }

/** The file of a course. */
export const COURSE_FORMAT = 'sett-course'
export const courseFileSchema = z.strictObject({
  format: z.literal(COURSE_FORMAT, 'That is no file of a course.'),
  version: z.literal(1, 'That file was written by a later Sett.'),
  course: courseSchema,
})
/** The largest file of a course that is read, in bytes. */
export const MOST_COURSE_BYTES = 500_000

/** Which course the room takes, and those that the school has made. */
export interface CoursesHere {
  readonly chosen: string
  readonly own: readonly KeptCourse[]
}
export const chosenSchema = z.strictObject({ course: ident })

/** What was said of one of a learner’s steps. */
export interface ToldStep extends Said {
  readonly step: string
}
/** As much as is said of a learner’s steps at once. */
const MOST_TOLD = 500
/** What somebody says of a learner’s steps now: known, not known yet, or null where what was said before is taken back. */
export const toldSchema = z.strictObject({
  told: z
    .array(z.strictObject({ step: ident, knows: z.boolean().nullable() }))
    .min(1, 'Say it of one step at least.')
    .max(MOST_TOLD, `At most ${MOST_TOLD} steps at once.`),
  placed: z.boolean(),
})
export type TellSteps = z.output<typeof toldSchema>['told']
/** So many learners are asked after at once. */
export const MOST_STANDINGS = 40
export const standingsQuery = z.strictObject({
  learners: z
    .string('Whose standing is wanted?')
    .transform((text) => text.split(','))
    .pipe(z.array(uuid).min(1).max(MOST_STANDINGS, `At most ${MOST_STANDINGS} learners at once.`)),
})
/** Where a learner stands on a course, as far as they have worked on it. */
export interface LearnerStanding {
  readonly learnerId: string
  /** Of steps that have been worked, or of which something was said. */
  readonly standings: readonly StepStanding[]
  /** What was worked lately, the latest first. */
  readonly had: readonly string[]
  /** Answers on pages that were marked lately. */
  readonly marked: readonly { readonly step: string; readonly problem: string; readonly answer: string }[]
  /** When they last worked; null where they have not. */
  readonly seenAt: string | null
}
