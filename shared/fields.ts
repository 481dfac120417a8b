import { z } from 'zod'

/** Fields that several schemas have. */

export const uuid = z.uuid('This is not an identifier that Sett made.')
/** What a course and its steps are called by. */
export const ident = z
  .string('An identifier is text.')
  .regex(/^[a-z0-9][a-z0-9-]{0,59}$/, 'An identifier is made of small letters, digits and hyphens, at most 60.')

const MOST_NAMED = 12
/** Some of what there is to choose from, and how many more. */
const named = (values: readonly string[]): string =>
  values.length <= MOST_NAMED
    ? values.join(', ')
    : `${values.slice(0, MOST_NAMED).join(', ')} and ${values.length - MOST_NAMED} others`
export const oneOf = <const T extends readonly string[]>(values: T) =>
  z.enum(values, { error: `One of these is wanted: ${named(values)}.` })
