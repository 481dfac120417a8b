import { z } from 'zod'
import { isZone } from './days'
import {
  ENGLISHES,
  EQUALS_WORDS,
  EXCHANGE_WORDS,
  FINGERS,
  MAX_PROBLEM_LENGTH,
  LANGUAGES,
  MINUS_WORDS,
  NEGATIVES,
  ONES_WORDS,
  COMMONS,
  DEFAULT_CHOICES,
  MONEY_SETS,
  PIECE_VALUES,
  MULTIPLES,
  QUOTIENT_ZEROS,
  FRACTION_FORMS,
  OWN_SIGNS,
  PLUS_WORDS,
  RULINGS,
  STORIES,
  REPRESENTATION_IDS,
  WAY_IDS,
  WORD_SETS,
} from '../core/door'
import { MOST_RODS } from '../core/representation/abacus/index'
import { oneOf, uuid } from './fields'
import { HELP_LEVELS, MODES } from './levels'
import { inPlainWords } from './plainly'
import { MOST_ANSWER_MS, MOST_WORK_MS } from './limits'

/** What passes through the door, both ways. Messages are read by teachers, so they are sentences. */

z.config({ customError: inPlainWords })

/** The largest record that is read, in bytes: five thousand moves as long as they may be. */
export const MAX_RECORD_BYTES = 2_000_000
/** The largest file that is read, in bytes: several school years of one class, so that whatever was exported can be read back. */
export const MAX_FILE_BYTES = 60_000_000
/** The most moves one record may hold. */
export const MAX_MOVES = 5000
/** The version of the file that Sett writes; later ones are refused. */
export const FILE_VERSION = 1

export const codeName = z
  .string('A code name is wanted.')
  .trim()
  .min(1, 'A code name needs at least one letter.')
  .max(24, 'A code name has at most 24 letters.')
  .normalize()
  // Letters of every script, with the marks that stand over, under and between them.
  .regex(/^[\p{L}\p{N}](?:[\p{L}\p{M}\p{N} .'’-]|\u200c|\u200d)*$/u, 'A code name is made of letters and digits.')

/** A code name as it is compared: without regard to capitals, to how it was typed, or to how many spaces stand in it. */
export const folded = (name: string): string =>
  name
    .normalize('NFKC')
    .toUpperCase()
    .toLowerCase()
    .normalize('NFKC')
    .replace(/\u200c|\u200d/g, '')
    .replace(/\s+/g, ' ')
    .trim()

/** Whether text has no control characters but line ends and tabs: a database's idea of its length ends at a nought. */
const plain = (text: string): boolean => !/\p{Cc}/u.test(text.replace(/[\n\r\t]/g, ''))

/** A class's words, one by one; a ready set by its name, as earlier versions kept it, is read too. */
const wordByWord = z.strictObject({
  exchange: oneOf(EXCHANGE_WORDS),
  ones: oneOf(ONES_WORDS),
  plus: oneOf(PLUS_WORDS),
  minus: oneOf(MINUS_WORDS),
  equals: oneOf(EQUALS_WORDS),
  english: oneOf(ENGLISHES),
  negative: oneOf(NEGATIVES).default('negative'),
  language: oneOf(LANGUAGES).optional(),
})
const wordSet = oneOf(['exchange', 'regroup'])
export const wordsSchema = z.union([wordByWord, wordSet.transform((set) => WORD_SETS[set])], {
  error: 'Words are chosen one by one: exchange, ones, plus, minus, equals, english.',
})

const ownName = z
  .string('A name is text.')
  .trim()
  .min(1, 'A complement needs a name.')
  .max(30, 'A complement’s name has at most 30 letters.')
  .refine(plain, 'The name has signs in it that cannot be read.')
const stepName = z
  .string('A step’s name is text.')
  .trim()
  .min(1, 'A step needs a name.')
  .max(30, 'A step’s name has at most 30 letters.')
  .refine(plain, 'The name has signs in it that cannot be read.')
/** Names that told the complements apart by size are not used any more; a class that had them gets the plain ones. */
const complementNames = z.preprocess(
  (names) => (names === 'friend' ? 'complement' : names),
  z.union([oneOf(['complement', 'partner']), z.strictObject({ five: ownName, ten: ownName })], {
    error: 'The complements are called complement or partner, or by names of the class’s own.',
  }),
)

const onFinger = z.int().min(0).max(5)

/** A class's own coins: up to twelve, each of another worth, and as large as real ones are. */
const ownMoney = z.strictObject({
  large: z.string().max(3, 'The sign of the large unit has up to three characters.'),
  small: z.string().max(3, 'The sign of the small unit has up to three characters.'),
  hundred: z.boolean('Whether a hundred make one of the large unit is wanted.'),
  coins: z
    .array(
      z.strictObject({
        value: z.literal(PIECE_VALUES, 'No coin in use has that value.'),
        across: z.number().min(10, 'A coin is 10 to 40 mm across.').max(40, 'A coin is 10 to 40 mm across.'),
      }),
    )
    .min(1, 'There is at least one coin.')
    .max(12, 'There are up to twelve coins.')
    .refine((all) => new Set(all.map((c) => c.value)).size === all.length, 'Two coins have the same value.'),
})

/** What a class has chosen where schools differ: on its hands, on its sheets, on the line. */
const hands = {
  away: z.array(oneOf(FINGERS)).max(9, 'At least one finger is needed to count on.').default([]),
  firstFinger: oneOf(['little', 'thumb', 'index']).default('little'),
  firstHand: oneOf(['left', 'right']).default('left'),
  joints: z
    .union(
      [
        z.literal(20),
        z.literal(12),
        z
          .tuple([onFinger, onFinger, onFinger, onFinger, onFinger])
          .refine((marks) => marks.some((n) => n > 0), 'A hand needs at least one joint mark.'),
      ],
      'A hand has 20 or 12 joint marks, or 0 to 5 on each of five fingers.',
    )
    .default(20),
  carryMarks: oneOf(['above', 'below']).default('above'),
  smallOne: oneOf(['one', 'rewrite']).default('one'),
  zeroFill: z.boolean('Filled or not is wanted.').default(false),
  columnSum: oneOf(['down', 'tens']).default('down'),
  hops: oneOf(['single', 'joined']).default('joined'),
  startFrom: oneOf(['greater', 'first']).default('greater'),
  columnMethod: z.boolean('Worked yet or not is wanted.').default(true),
  touchExchanges: z.boolean('With exchanges or without is wanted.').default(true),
  abacus: z
    .strictObject({
      rods: z.int('A frame has 1 to 13 rods.').min(0).max(MOST_RODS, 'A frame has 1 to 13 rods.').default(0),
      right: z.int().min(0).max(3, 'At most three rods lie to the right of the unit rod.').default(0),
      order: oneOf(['highest', 'ones']).default('highest'),
      first: oneOf(['ten', 'complement']).default('ten'),
      hands: oneOf(['right', 'left', 'both']).default('right'),
      names: complementNames.default('complement'),
      frameBeads: z.union([z.literal(9), z.literal(10)], 'A rod has nine or ten beads.').default(9),
    })
    .prefault({}),
  signed: z
    .strictObject({
      bring: oneOf(['enough', 'number']).default('enough'),
      pairs: oneOf(['clear', 'stand']).default('clear'),
      from: oneOf(['first', 'nought']).default('first'),
      marks: oneOf(['labelled', 'blank']).default('labelled'),
      ruled: z
        .literal(
          RULINGS,
          'A line is ruled in 2 to 6, 8, 9, 10, 12, 16, 20 or 100 parts, or 0 for as many as are needed.',
        )
        .default(0),
      ownSign: oneOf(OWN_SIGNS).default('brackets'),
      story: oneOf(STORIES).default('none'),
      estimate: z.boolean('Guessed first or not is wanted.').default(false),
    })
    .prefault({}),
  money: z
    .strictObject({
      set: oneOf(MONEY_SETS).default('token'),
      notes: z.boolean('Paper money or none is wanted.').default(false),
      own: ownMoney.default(() => structuredClone(DEFAULT_CHOICES.money.own) as z.infer<typeof ownMoney>),
    })
    .prefault({}),
  division: z
    .strictObject({
      zero: oneOf(QUOTIENT_ZEROS).default('write'),
      multiples: oneOf(MULTIPLES).default('built'),
      steps: z
        .tuple([stepName, stepName, stepName, stepName], 'The four steps of long division each have a name.')
        .default(DEFAULT_CHOICES.division.steps as [string, string, string, string]),
    })
    .prefault({}),
  parts: z
    .strictObject({
      common: oneOf(COMMONS).default('least'),
      form: oneOf(FRACTION_FORMS).default('fraction'),
      estimate: z.boolean('Guessed first or not is wanted.').default(false),
    })
    .prefault({}),
}
export const handsSchema = z.strictObject(hands)

export const classroomSchema = z.strictObject({
  name: z
    .string('The room needs a name.')
    .trim()
    .min(1, 'The room needs a name.')
    .max(60, 'The room’s name has at most 60 letters.')
    .refine(plain, 'The room’s name has signs in it that cannot be read.'),
  words: wordsSchema,
  hands: handsSchema.prefault({}),
})

/** The room as it is sent to be kept; with the school's time zone, where that is said or changed. */
export const classroomSentSchema = classroomSchema.extend({
  zone: z.string().max(60).refine(isZone, 'There is no such time zone.').optional(),
})

export const newLearnerSchema = z.strictObject({ id: uuid, codeName })

const entrySchema = z.strictObject({
  at: z
    .int('A move’s time is a whole number of milliseconds.')
    .min(0, 'A move’s time cannot be before the start.')
    .max(MOST_WORK_MS, 'A move’s time lies more than a year after the start.'),
  on: oneOf([...REPRESENTATION_IDS, 'bench']),
  move: z.string('A move is text.').min(1, 'A move is text.').max(200, 'A move is at most 200 characters long.'),
})

/** The work itself, as core/record writes it. */
export const workSchema = z.strictObject({
  format: z.literal('sett-record', 'This is not a record of Sett.'),
  version: z.literal(FILE_VERSION, 'This record is of another version.'),
  problem: z
    .string('The problem is text.')
    .min(1, 'The problem is missing.')
    .max(MAX_PROBLEM_LENGTH, 'The problem is too long.'),
  representation: oneOf(REPRESENTATION_IDS),
  also: z.array(oneOf(REPRESENTATION_IDS)).max(REPRESENTATION_IDS.length),
  both: oneOf(REPRESENTATION_IDS).nullable().default(null),
  way: oneOf(WAY_IDS),
  mode: oneOf(MODES),
  choices: z.strictObject({
    words: z.union([wordByWord, wordSet], 'The words of the room are wanted.'),
    ...hands,
  }),
  moves: z.array(entrySchema).max(MAX_MOVES, `A record holds at most ${MAX_MOVES} moves.`),
})

export const outcomeSchema = z.strictObject({
  right: z.boolean('Right or not is wanted.'),
  help: oneOf(HELP_LEVELS),
  note: z
    .string('The note is text.')
    .max(2000, 'A note has at most 2,000 characters.')
    .refine(plain, 'The note has signs in it that cannot be read.'),
})

const startedAt = z.iso
  .datetime({ error: 'The start is wanted as a date and time, like 2026-11-24T09:30:00Z.' })
  .refine((at) => at >= '1990' && at < '2100', 'The start lies before 1990 or beyond 2100. Is the clock right?')
  // One way of writing a time, so that times are in order as text.
  .transform((at) => new Date(at).toISOString())

/** A record as it is saved for a learner. */
export const saveSchema = z.strictObject({
  id: uuid,
  learnerId: uuid,
  startedAt,
  work: workSchema,
  outcome: outcomeSchema,
})

/** One record inside a file: the learner goes by code name there. */
export const filedSchema = z.strictObject({
  id: uuid,
  learner: codeName,
  startedAt,
  work: workSchema,
  outcome: outcomeSchema,
})

/** Which things were too damaged on the disk to be written into a file. */
export const damaged = z.array(uuid).optional()

export const fileSchema = z.strictObject({
  format: z.literal('sett-records', 'This is not a file of Sett records.'),
  version: z.literal(FILE_VERSION, 'This file is of another version.'),
  // Each is checked by itself (filedSchema), so that nobody waits for all of them.
  records: z.array(z.unknown(), 'The records are a list.'),
  damaged,
})

/** One answer of rehearsing; without a learner it is the teacher's own. */
export const rehearsalSchema = z.strictObject({
  id: uuid,
  learnerId: uuid.nullable(),
  at: z
    .int('When is wanted, in milliseconds.')
    .min(1, 'When is wanted, in milliseconds.')
    // What no calendar holds would spoil every answer of that person.
    .max(Date.UTC(2100, 0), 'When lies beyond the year 2100. Is the clock right?'),
  item: z.string('What was asked is text.').min(3, 'What was asked is missing.').max(40, 'What was asked is too long.'),
  given: z.string('An answer is text.').max(1000, 'An answer has at most 1,000 characters.'),
  ms: z.int('How long it took is wanted, in milliseconds.').min(0).max(MOST_ANSWER_MS),
})

/** One answer inside a file: the learner goes by code name there, and the teacher by none. */
export const filedAnswerSchema = rehearsalSchema.omit({ learnerId: true }).extend({ learner: codeName.nullable() })

export const rehearsalFileSchema = z.strictObject({
  format: z.literal('sett-rehearsals', 'This is not a file of rehearsals.'),
  version: z.literal(FILE_VERSION, 'This file is of another version.'),
  // Each is checked by itself (filedAnswerSchema), so that nobody waits for all of them.
  answers: z.array(z.unknown(), 'The answers are a list.'),
})

/** Whose answers: a learner's, or the teacher's own. */
export const personSchema = z
  .string('Whose answers is wanted: a learner’s, or “teacher”.')
  .regex(/^(?:teacher|[0-9a-f-]{36})$/i, 'Whose answers is wanted: a learner’s, or “teacher”.')

/** Which records a file is asked of: one, or all of a learner, or all. */
export const recordFileQuery = z
  .strictObject({ record: uuid.optional(), learner: uuid.optional() })
  .refine(({ record, learner }) => !record || !learner, 'One record is asked for, or those of one learner, not both.')

/** Whose answers are asked for. */
export const rehearsalQuery = z.strictObject({ of: personSchema })
/** Whose answers are asked for, and after which answer the page goes on. */
export const rehearsalPageQuery = z.strictObject({
  of: personSchema,
  after: z
    .string()
    .regex(/^\d{1,16}_[0-9a-f-]{36}$/i, 'The page before did not end there.')
    .optional(),
})

/** A request that asks for nothing more. */
export const noQuery = z.strictObject({})

/** An answer as it is kept, with whether it is right. */
export type KeptAnswer = z.infer<typeof rehearsalSchema> & { readonly right: boolean }

export type FiledAnswer = z.infer<typeof filedAnswerSchema>
export interface RehearsalFile {
  readonly format: 'sett-rehearsals'
  readonly version: typeof FILE_VERSION
  readonly answers: readonly FiledAnswer[]
}
export type Hands = z.infer<typeof handsSchema>
export type Classroom = z.infer<typeof classroomSchema>
export type NewLearner = z.infer<typeof newLearnerSchema>
export type Outcome = z.infer<typeof outcomeSchema>
export type SavedRecord = z.infer<typeof saveSchema>
export type FiledRecord = z.infer<typeof filedSchema>
export interface RecordFile {
  readonly format: 'sett-records'
  readonly version: typeof FILE_VERSION
  readonly records: readonly FiledRecord[]
}

/** What taking in a file came to. */
export interface TakenIn {
  readonly added: number
  readonly already: number
  /** Learners who were not in the class before. */
  readonly learners: number
}
