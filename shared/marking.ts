import { z } from 'zod'
import { MOST_PROBLEMS, WORKED_WITH } from '../core/diagnose/index'
import { oneOf, uuid } from './fields'
import { inPlainWords } from './plainly'

/** What passes through the door of marking. Messages are read by teachers, so they are sentences. */

z.config({ customError: inPlainWords })

/** A problem with the answer as it was written, and the marks above its columns. */
const itemText = z.strictObject({
  problem: z
    .string('A problem is wanted.')
    .min(1, 'A problem is wanted.')
    .max(200, 'A problem here is at most 200 characters long.'),
  answer: z.string().max(40, 'An answer is at most 40 characters long.'),
  above: z.string().max(60, 'What is written above is at most 60 characters long.').optional(),
})

/** A page to be marked and kept; the rate of slips is what the teacher has set, if any. */
export const markingSchema = z.strictObject({
  id: uuid,
  learnerId: uuid,
  markedAt: z.iso.datetime('The time wants a date and a time, like 2026-11-24T09:30:00.000Z.'),
  with: oneOf(WORKED_WITH),
  slipRate: z.number().min(0.005).max(0.4, 'A rate of slips goes from 0.005 to 0.4.').optional(),
  items: z
    .array(itemText)
    .min(1, 'A page has one problem at least.')
    .max(MOST_PROBLEMS, `A page has at most ${MOST_PROBLEMS} problems.`),
})

/** What a page said when it was marked: the likeliest explanations, by their procedures' ids, and how likely none of them is. */
export interface Said {
  readonly ranked: readonly { readonly bug: readonly string[]; readonly probability: number }[]
  readonly none: number
}
export type KeptMarking = Omit<z.infer<typeof markingSchema>, 'slipRate'> & {
  readonly said: Said
  readonly withdrawn: string | null
}

/** Why what a page said is withdrawn; null lets it stand again. */
export const withdrawSchema = z.strictObject({
  withdrawn: z
    .string()
    .trim()
    .min(1, 'Say in a word why it is withdrawn.')
    .max(200, 'At most 200 characters say why.')
    .nullable(),
})
export const ofLearnerQuery = z.strictObject({ learner: uuid })

/** So many pages of a learner are shown at once, the newest first. */
export const MOST_MARKINGS = 50
/** What a learner answered alone at the Bench, as a page to be marked. */
export interface AnsweredAlone {
  readonly items: readonly {
    readonly problem: string
    readonly answer: string
    readonly record: string
    readonly at: string
  }[]
}
