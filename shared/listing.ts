import { z } from 'zod'
import { MAX_PROBLEM_LENGTH, REPRESENTATION_IDS, WAY_IDS } from '../core/door'
import { oneOf, uuid } from './fields'
import { HELP_LEVELS, type Help, type MODES } from './levels'
import { inPlainWords } from './plainly'

/** The list of the Daybook: how a page of it is asked for, and what it says. Messages are read by teachers, so they are sentences. */

z.config({ customError: inPlainWords })

const day = z.iso.date('A day is wanted, like 2026-11-24.')
/** How a page of the Daybook is asked for: narrowed by some of these, and from where the page before ended. */
export const recordQuery = z.strictObject({
  learner: uuid.optional(),
  problem: z.string().max(MAX_PROBLEM_LENGTH).optional(),
  material: oneOf(REPRESENTATION_IDS).optional(),
  slip: z.string().max(200).optional(),
  way: oneOf(WAY_IDS).optional(),
  help: oneOf(HELP_LEVELS).optional(),
  came: oneOf(['right', 'not'] as const).optional(),
  group: z.string().max(40).optional(),
  step: z
    .string()
    .regex(/^[a-z0-9][a-z0-9-]{0,59}$/, 'This is no step’s identifier.')
    .optional(),
  from: day.optional(),
  to: day.optional(),
  before: z
    .string()
    .regex(/^\d{4}-[0-9T:.Z-]{6,26}_[0-9a-f-]{36}$/i, 'The page before did not end there.')
    .optional(),
  limit: z.coerce.number().int().min(1).max(200, 'A page has at most 200 records.').default(50),
})
export type RecordQuery = z.infer<typeof recordQuery>
/** A page of the Daybook. */
export interface RecordPage {
  readonly records: readonly RecordSummary[]
  /** Where the next page begins; null at the end. */
  readonly next: string | null
  readonly known: { readonly slips: readonly string[]; readonly materials: readonly string[] }
}

/** A line of the Daybook. */
export interface RecordSummary {
  readonly id: string
  readonly learnerId: string
  readonly startedAt: string
  /** The school's day on which it began. */
  readonly day: string
  readonly durationMs: number
  readonly problem: string
  readonly material: string
  readonly mode: (typeof MODES)[number]
  readonly right: boolean
  readonly help: Help
  readonly note: string
  /** Slips seen in it, by name, in the order in which they were made. */
  readonly slips: readonly string[]
  /** Work at the Bench, a story that was worked, a try noted at the table, or a note of a sitting. */
  readonly kind: 'bench' | 'story' | 'table' | 'note'
  /** Whether it can be worked again as it says; one that takes long is looked through after it was kept. */
  readonly replay: 'sound' | 'waiting' | 'broken'
}
