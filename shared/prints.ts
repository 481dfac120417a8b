import { z } from 'zod'
import { MAX_PROBLEM_LENGTH, REPRESENTATION_IDS } from '../core/door'
import { FINGER_CHARTS, FRAMES, MOST_PRINTED, PAPERS, SHOWN } from '../core/paper/index'
import { oneOf, uuid } from './fields'
import { inPlainWords } from './plainly'
import { workSchema } from './schemas'

/** What passes through the door of paper. Messages are read by teachers, so they are sentences. */

z.config({ customError: inPlainWords })

const whole = (least: number, most: number) =>
  z.int('A whole number is wanted here.').min(least, `At least ${least}.`).max(most, `At most ${most}.`)
const typed = (most: number) => z.string().max(most, `At most ${most} characters.`)
const shown = oneOf(SHOWN)
const blankOrKey = oneOf(['blank', 'key'] as const)

/** So many of each, as it is typed: `25 x 4, 10 x 6`. */
const counted = typed(400)

const mat = <M extends string, T extends z.ZodRawShape>(mat: M, shape: T) =>
  z.strictObject({ kind: z.literal('mat'), mat: z.literal(mat), ...shape })
const piece = <P extends string, T extends z.ZodRawShape>(piece: P, shape: T) =>
  z.strictObject({ kind: z.literal('pieces'), piece: z.literal(piece), ...shape })

/** A sheet as it is chosen. Its problems are those of the print, so it says only what is made of them. */
export const sheetSchema = z.union([
  z.strictObject({ kind: z.literal('problems'), layout: oneOf(['squares', 'lines'] as const), shown }),
  z.strictObject({
    kind: z.literal('steps'),
    material: oneOf(REPRESENTATION_IDS),
    /** Only the first problem, or every one. */
    all: z.boolean(),
  }),
  /** What was worked, from the Daybook. */
  z.strictObject({ kind: z.literal('record'), id: uuid }),
  /** What lies on the mat at the Bench. */
  z.strictObject({ kind: z.literal('lying'), work: workSchema }),
  z.strictObject({ kind: z.literal('stories'), shown: blankOrKey, seed: whole(1, 999_999), inWords: z.boolean() }),
  z.strictObject({ kind: z.literal('lesson') }),
  z.strictObject({ kind: z.literal('learner') }),
  z.strictObject({ kind: z.literal('chains'), shown: blankOrKey }),
  z.strictObject({ kind: z.literal('beads'), frame: oneOf(FRAMES), numbers: typed(400), shown: blankOrKey }),
  z.strictObject({ kind: z.literal('fingers'), chart: oneOf(FINGER_CHARTS) }),
  mat('chart', { places: whole(1, 6), decimals: whole(0, 3), rows: whole(1, 3) }),
  mat('signed', {}),
  mat('ten-frames', { frames: whole(1, 8) }),
  mat('plates', { plates: whole(1, 12) }),
  mat('open-line', { lines: whole(1, 8) }),
  mat('ruled-line', { from: whole(-9999, 9999), to: whole(-9999, 9999), parts: whole(1, 100), lines: whole(1, 8) }),
  mat('strips', { parts: typed(100), named: z.boolean() }),
  mat('vessel', { parts: whole(2, 24), vessels: whole(1, 6) }),
  mat('array', { rows: whole(1, 30), columns: whole(1, 30) }),
  mat('rectangle', { across: whole(1, 4), down: whole(1, 4) }),
  mat('squares', { places: whole(1, 9), decimals: whole(0, 3) }),
  mat('division', { digits: whole(1, 9) }),
  piece('blocks', { ones: whole(0, 999), tens: whole(0, 500), hundreds: whole(0, 100) }),
  piece('counters', { count: whole(1, 999) }),
  piece('chips', { chips: counted }),
  piece('signed', { plus: whole(0, 999), minus: whole(0, 999) }),
  piece('strips', { strips: counted }),
  piece('coins', { coins: counted }),
  piece('numerals', { digits: typed(40), notched: z.boolean() }),
  piece('spinner', { sectors: whole(2, 12) }),
  piece('cards', { of: oneOf(['problems', 'answers', 'numbers'] as const), numbers: typed(400) }),
])
export type SheetChoice = z.output<typeof sheetSchema>

export const MOST_SHEETS = 40
const chosen = z.strictObject({ sheet: sheetSchema, copies: whole(1, 60) })
export type ChosenSheet = z.output<typeof chosen>

export const printSettingSchema = z.strictObject({
  paper: oneOf(PAPERS),
  perPage: z.union([z.literal(1), z.literal(2)], { error: 'One or two sheets lie on a page.' }),
  big: z.boolean(),
  tactile: z.boolean(),
})
export type PrintChoice = z.output<typeof printSettingSchema>

/** A print set that is kept: which sheets, how many and how. Nothing of a learner is in it; who it is for is chosen when it is printed. */
export const printSetSchema = z.strictObject({
  id: uuid,
  title: z.string().trim().min(1, 'A print set has a name.').max(80, 'At most 80 characters.'),
  setting: printSettingSchema,
  problems: typed(8000),
  sheets: z
    .array(chosen)
    .min(1, 'A print set has one sheet at least.')
    .max(MOST_SHEETS, `At most ${MOST_SHEETS} sheets.`),
  version: z.int().min(0),
})
export type PrintSet = z.output<typeof printSetSchema>

/** Problems that were printed, so that they are found again by their code. */
export const printedSchema = z.strictObject({
  problems: z
    .array(z.string().min(1, 'A problem is wanted.').max(MAX_PROBLEM_LENGTH, 'That problem is too long.'))
    .min(1, 'There has to be one problem.')
    .max(MOST_PRINTED, `At most ${MOST_PRINTED} problems.`),
})
export interface Printed {
  readonly code: string
  readonly problems: readonly string[]
}
