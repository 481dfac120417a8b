import { z } from 'zod'
import { LESSON_MINUTES, MOST_IN_LESSON } from '../core/course/index'
import { REPRESENTATION_IDS, WAY_IDS } from '../core/door'
import { DAY_MS } from './days'
import { ident, oneOf, uuid } from './fields'
import { MODES } from './levels'
import { inPlainWords } from './plainly'

/** What passes through the door of lessons. Messages are read by teachers, so they are sentences. */

z.config({ customError: inPlainWords })

const day = z.iso.date('A day is written like 2026-11-24.')
const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time of day is written like 09:30.')
const text = (most: number) => z.string().max(most, `At most ${most} characters.`)

export const MOST_TURNS = 200
const turn = z.strictObject({
  learner: uuid.nullable(),
  step: ident,
  problem: text(200).min(1, 'A problem is wanted.'),
  material: oneOf(REPRESENTATION_IDS),
  way: oneOf(WAY_IDS).nullable(),
  mode: oneOf(MODES),
})

const lessonFields = z.strictObject({
  id: uuid,
  day,
  at: time,
  minutes: z
    .int()
    .min(LESSON_MINUTES.least, `A lesson takes at least ${LESSON_MINUTES.least} minutes.`)
    .max(LESSON_MINUTES.most, `A lesson takes at most ${LESSON_MINUTES.most} minutes.`),
  learners: z
    .array(uuid)
    .min(1, 'Somebody has to come.')
    .max(MOST_IN_LESSON, `At most ${MOST_IN_LESSON} come to one lesson.`),
  turns: z.array(turn).min(1, 'A lesson has one problem at least.').max(MOST_TURNS, `At most ${MOST_TURNS} problems.`),
  /** What to say and what to ask, line by line, where it is otherwise than the steps have it. */
  words: text(4000),
  /** What was noted afterwards, by learner. */
  notes: z.record(uuid, text(1000)),
})

/** A lesson as it is sent to be kept: `version` is the one it was changed from, 0 where it is new. */
export const lessonSchema = lessonFields
  .extend({ version: z.int().min(0) })
  .refine(({ learners }) => new Set(learners).size === learners.length, {
    path: ['learners'],
    error: 'Nobody comes twice to one lesson.',
  })
  .refine(({ learners, turns }) => turns.every((t) => t.learner === null || learners.includes(t.learner)), {
    path: ['turns'],
    error: 'A problem is for somebody who does not come.',
  })
  .refine(({ learners, notes }) => Object.keys(notes).every((id) => learners.includes(id)), {
    path: ['notes'],
    error: 'A note is about somebody who does not come.',
  })
export type Lesson = z.output<typeof lessonSchema>

/** Lessons of some days, both ends included. */
export const lessonsQuery = z
  .strictObject({ from: day, to: day })
  .refine(({ from, to }) => from <= to && Date.parse(to) - Date.parse(from) <= 400 * DAY_MS, {
    error: 'At most 400 days are asked for at once.',
  })
