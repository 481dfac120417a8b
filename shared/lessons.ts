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
  /** When it was worked, and the record of it; null where it was shown and nobody's work was saved. Absent until then. */
  done: z.strictObject({ at: z.iso.datetime(), record: uuid.nullable() }).optional(),
})
export type LessonTurn = z.output<typeof turn>

/** A turn of a lesson that was worked, told by whose it is and what was asked; `record` is null where nobody's work was saved. */
export const turnDoneSchema = turn
  .pick({ learner: true, problem: true, mode: true })
  .extend({ record: uuid.nullable() })
/** Which record is to be none of a lesson’s any more. */
export const reopenQuery = z.strictObject({ record: uuid })
export type TurnDone = z.output<typeof turnDoneSchema>

const isSameTurn = (a: Pick<LessonTurn, 'learner' | 'problem' | 'mode'>, b: typeof a): boolean =>
  a.learner === b.learner && a.problem === b.problem && a.mode === b.mode

/**
 * Turns with one more that was worked: the first of its kind that has not been. Undefined where the lesson has no such turn any more;
 * one that was worked already, with this record, stays as it is.
 */
export function withDone(
  turns: readonly LessonTurn[],
  worked: TurnDone,
  at: string,
): readonly LessonTurn[] | undefined {
  const alike = turns.filter((t) => isSameTurn(t, worked))
  if (worked.record !== null && alike.some((t) => t.done?.record === worked.record)) return turns
  const open = alike.find((t) => !t.done) ?? (worked.record === null ? alike[0] : undefined)
  if (!open) return undefined
  return turns.map((t) => (t === open ? { ...t, done: t.done ?? { at, record: worked.record } } : t))
}

/** Turns of which what one record was is to be worked again. */
export const withoutDone = (turns: readonly LessonTurn[], record: string): readonly LessonTurn[] =>
  turns.map((t) => {
    if (t.done?.record !== record) return t
    const { done: _, ...open } = t
    return open
  })

/** Turns as somebody changed them, each with what is known of its having been worked, whatever was sent of that. */
export function keepingDone(sent: readonly LessonTurn[], kept: readonly LessonTurn[]): LessonTurn[] {
  const left = kept.filter((t) => t.done)
  return sent.map(({ done: _, ...turn }) => {
    const at = left.findIndex((t) => isSameTurn(t, turn))
    const [same] = at < 0 ? [] : left.splice(at, 1)
    return same?.done ? { ...turn, done: same.done } : turn
  })
}

/** How far a lesson has come: `planned`, `under way`, or `done`. */
export function stateOf({ turns }: { readonly turns: readonly LessonTurn[] }): 'planned' | 'under way' | 'done' {
  const done = turns.filter((t) => t.done).length
  return done === 0 ? 'planned' : done < turns.length ? 'under way' : 'done'
}

/** The turn that a lesson goes on with: the first after the last one worked, else the first that was passed over; the first of all where all were. */
export function goesOnAt({ turns }: { readonly turns: readonly LessonTurn[] }): number {
  const next = turns.findLastIndex((t) => t.done) + 1
  if (next < turns.length) return next
  return Math.max(
    0,
    turns.findIndex((t) => !t.done),
  )
}

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
