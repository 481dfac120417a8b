import type { LanguageId } from '../language'
import type { Place } from '../number/places'
import type { NumberWords } from '../number/words'

/** A classroom's words with their forms. One pack serves screen, speech and print. */
export interface WordPack {
  /** The language in which all is said (core/speech/index.ts). */
  readonly language: LanguageId
  /** Making one of the next place, breaking one, the word between what goes and what comes, the thing done, “a ten is …”, and doing it. */
  readonly exchange: {
    readonly verb: string
    readonly breaks: string
    readonly link: string
    readonly noun: string
    readonly done: string
    readonly doing: string
  }
  /** What one of the lowest place is called, and several. */
  readonly ones: readonly [string, string]
  readonly plus: string
  readonly minus: string
  /** The verbs that start a sentence. */
  readonly add: string
  readonly take: string
  readonly equals: string
  readonly sentence: string
  readonly numbers: NumberWords
  /** The word between two things that are put together. */
  readonly and: string
  /** What the pieces of a place are called; English names where there are no others. */
  readonly place?: (place: Place, count: number) => string
  /** Whether numbers that are not whole are said as fractions: “two and two fifths”, not “two point four”. */
  readonly fractions?: boolean
}
