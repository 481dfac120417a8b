/** The classroom's settings that a way, a representation or the speech honours. Plain JSON. */
export interface Choices {
  /** The word pack used on screen, in speech and in print. */
  readonly words: WordPackId
  /** How many fingers there are to count on; others are simply not asked for. */
  readonly fingers: number
  /** Which finger is one, and so in which order they rise. */
  readonly firstFinger: 'little' | 'thumb' | 'index'
  /** The hand that starts. */
  readonly firstHand: 'left' | 'right'
  /** Joint marks: four on each of five fingers, or three on each of four. */
  readonly joints: 20 | 12
}

export type WordPackId = 'exchange' | 'regroup'

export const DEFAULT_CHOICES: Choices = {
  words: 'exchange',
  fingers: 10,
  firstFinger: 'little',
  firstHand: 'left',
  joints: 20,
}

export const withDefaults = (choices?: Partial<Choices>): Choices => ({ ...DEFAULT_CHOICES, ...choices })
