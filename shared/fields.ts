import { z } from 'zod'

/** Fields that several schemas have. */

export const uuid = z.uuid('This is not an identifier that Sett made.')
export const oneOf = <const T extends readonly string[]>(values: T) =>
  z.enum(values, { error: `One of these is wanted: ${values.join(', ')}.` })
