import { z } from 'zod'
import { inPlainWords } from './plainly'

/** Scenes of stories, and who is in them. Messages are read by teachers, so they are sentences. */

z.config({ customError: inPlainWords })

const WORDS = /^[\p{L}\p{M}][\p{L}\p{M}\p{N} '’-]*$/u
/** A word or two of a sentence; nothing that ends one. */
const word = (what: string, most = 30) =>
  z
    .string(`${what} is text.`)
    .trim()
    .min(1, `${what} is wanted.`)
    .max(most, `${what} has at most ${most} letters.`)
    .regex(WORDS, `${what} is made of letters.`)
const pair = (what: string) => z.tuple([word(what), word(what)], `${what} is wanted twice.`)

export const personInStorySchema = z.strictObject({
  name: word('A name', 24),
  pronoun: z.enum(['she', 'he', 'they'], 'She, he or they.').optional(),
})
const thing = z.strictObject({
  one: word('One of it'),
  many: word('Several of it'),
  kinds: pair('A kind'),
  measure: z.strictObject({ unit: word('The unit', 12), stuff: word('What is measured') }).optional(),
  money: z.strictObject({ large: z.string().max(3), small: z.string().max(3), hundred: z.boolean() }).optional(),
  most: z.int('A whole number is wanted here.').min(10, 'At least 10.').max(1_000_000, 'At most a million.'),
})
const move = z.strictObject({ does: z.string().max(60), asks: z.string().max(120) })
const levelText = z.string().max(60)
export const sceneSchema = z.strictObject({
  id: z.string().regex(/^[a-z0-9][a-z0-9-]{0,59}$/, 'An identifier is made of small letters, digits and hyphens.'),
  title: z.string().trim().min(1, 'A scene has a name.').max(60, 'At most 60 letters.'),
  thing,
  where: word('The place', 40),
  comes: pair('What is done'),
  goes: pair('What is done'),
  holder: z.tuple([word('What holds it'), word('What holds it'), z.enum(['in', 'on'], 'In or on.')]),
  rows: z.boolean('Whether it lies in rows is wanted.'),
  level: z
    .strictObject({
      person: z.boolean(),
      unit: pair('The unit'),
      zero: levelText,
      above: levelText,
      below: levelText,
      up: move,
      down: move,
      now: z.string().max(120),
      first: z.string().max(120),
    })
    .optional(),
})

export const MOST_SCENES = 40
export const MOST_PEOPLE = 40
/** The scenes and people that a class has added; `version` counts the changes. */
export const scenesSchema = z.strictObject({
  scenes: z
    .array(sceneSchema)
    .max(MOST_SCENES, `At most ${MOST_SCENES} scenes.`)
    .refine((all) => new Set(all.map((s) => s.id)).size === all.length, 'Two scenes have the same identifier.'),
  people: z.array(personInStorySchema).max(MOST_PEOPLE, `At most ${MOST_PEOPLE} people.`),
  version: z.int().min(0),
})
export type OwnScenes = z.output<typeof scenesSchema>
export const SCENES_AT_FIRST: OwnScenes = { scenes: [], people: [], version: 0 }
