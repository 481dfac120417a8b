import { z } from 'zod'
import { HAND_NEEDS, MADE_OF } from '../core/kit/index'
import { oneOf } from './fields'
import { inPlainWords } from './plainly'

/** What passes through the door of the cupboard. Messages are read by teachers, so they are sentences. */

z.config({ customError: inPlainWords })

const MOST_PIECES = 100_000
const pieces = z
  .int('A number of pieces is whole.')
  .min(0, 'There are no fewer than none.')
  .max(MOST_PIECES, `At most ${MOST_PIECES} pieces.`)

const millimetres = z
  .number('A length is a number of millimetres.')
  .min(0.1, 'A length is at least a tenth of a millimetre.')
  .max(2000, 'A piece is at most two metres long.')
const word = z.string().max(60, 'At most 60 characters.')
const kindKey = z.string().regex(/^[a-z-]{1,30}\/[\p{L}\p{N} .-]{1,40}$/u, 'That is no kind of piece.')

/** What there is of one kind of piece. */
const stock = z.strictObject({
  have: pieces,
  /** How many come in a pack; nought where none is bought. */
  pack: pieces,
  madeOf: oneOf(MADE_OF),
  /** On which shelf it lies, in the school's own words. */
  shelf: word.optional(),
  /** How large these are, where they are not as usual: three edges, or how far across and how thick. */
  size: z
    .union([
      z.tuple([millimetres, millimetres, millimetres]),
      z.strictObject({ across: millimetres, thick: millimetres }),
    ])
    .optional(),
  /** What stands in for it here. */
  standIn: word.optional(),
})

/** A pack that can be bought: pieces of several kinds, as many of each. */
const pack = z.strictObject({
  name: word.min(1, 'A pack has a name.'),
  kinds: z.array(kindKey).min(1, 'A pack has one kind at least.').max(20),
  size: pieces.min(1, 'A pack has one piece at least.'),
})

/** What the school has, by material and kind (`blocks/ten`), and who uses it. */
export const cupboardSchema = z.strictObject({
  stock: z
    .record(kindKey, stock)
    .refine((all) => Object.keys(all).length <= 300, 'At most 300 kinds of pieces are kept.'),
  packs: z.array(pack).max(60, 'At most 60 packs are kept.').optional(),
  spare: z.number().min(0).max(1, 'To spare is a share from 0 to 1.'),
  youngest: z
    .int('An age is given in whole years.')
    .min(1, 'An age is at least one year.')
    .max(99, 'An age is at most 99 years.'),
  mouths: z.boolean(),
  allergies: z.boolean(),
  /** What the hands or eyes of somebody here may not do, or not yet. */
  needs: z.array(oneOf(HAND_NEEDS)).max(HAND_NEEDS.length).optional(),
  version: z.int().min(0),
})
export type Cupboard = z.output<typeof cupboardSchema>

export type Stock = z.output<typeof stock>
export type BoughtPack = z.output<typeof pack>

/** What there is of a kind of piece; none of it where nothing was said. */
export const stockOf = (cupboard: Pick<Cupboard, 'stock'>, material: string, kind: string): Stock =>
  cupboard.stock[`${material}/${kind}`] ?? { have: 0, pack: 0, madeOf: 'plain' }

export const CUPBOARD_AT_FIRST: Cupboard = {
  stock: {},
  spare: 0.05,
  youngest: 6,
  mouths: false,
  allergies: false,
  version: 0,
}
