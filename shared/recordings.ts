import { z } from 'zod'
import { uuid } from './fields'
import { inPlainWords } from './plainly'
import { spokenWords } from './spokenWords'

/** What a teacher has said for a learner: words and sentences as sound, which are played instead of the browser's voice. */

z.config({ customError: inPlainWords })

/** As long as one recording may be; about twenty-five seconds as browsers record speech. */
export const MOST_BYTES = 400_000
/** As many as are kept of one learner. */
export const MOST_RECORDINGS = 400
export const MOST_WORDS = 200

export const SOUND_TYPES = ['audio/webm', 'audio/ogg', 'audio/mp4', 'audio/wav'] as const
export type SoundType = (typeof SOUND_TYPES)[number]

export const recordingSchema = z.strictObject({
  id: uuid,
  said: z
    .string()
    .max(MOST_WORDS, `At most ${MOST_WORDS} letters.`)
    .transform((text) => spokenWords(text).join(' '))
    .refine((text) => text !== '', 'Which words are they?'),
  /** The sound as base64. */
  audio: z.base64('The sound did not arrive whole. Record it again.').min(1, 'There is no sound in it.'),
})
export type SentRecording = z.output<typeof recordingSchema>

/** A recording without its sound. */
export interface Recording {
  readonly id: string
  /** Its words, as `spokenWords` has them, with spaces between. */
  readonly said: string
  readonly bytes: number
  readonly madeAt: string
}
