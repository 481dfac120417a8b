/** The classroom's settings that a way, a representation or the speech honours. Plain JSON. */
export interface Choices {
  /** The word pack used on screen, in speech and in print. */
  readonly words: WordPackId
  /** Fingers that are not there or not asked for; the others are counted on without remark. */
  readonly away: readonly Finger[]
  /** Which finger is one, and so in which order they rise. */
  readonly firstFinger: 'little' | 'thumb' | 'index'
  /** The hand that starts. */
  readonly firstHand: Hand
  /** Joint marks: four on each of five fingers, or three on each of four. */
  readonly joints: 20 | 12
}

export type Hand = 'left' | 'right'
export type Digit = 'little' | 'ring' | 'middle' | 'index' | 'thumb'
export type Finger = `${Hand}-${Digit}`

/** Every finger, from the left little finger to the right one. */
export const FINGERS: readonly Finger[] = [
  'left-little',
  'left-ring',
  'left-middle',
  'left-index',
  'left-thumb',
  'right-thumb',
  'right-index',
  'right-middle',
  'right-ring',
  'right-little',
]

export type WordPackId = 'exchange' | 'regroup'

export const DEFAULT_CHOICES: Choices = {
  words: 'exchange',
  away: [],
  firstFinger: 'little',
  firstHand: 'left',
  joints: 20,
}

export const withDefaults = (choices?: Partial<Choices>): Choices => ({ ...DEFAULT_CHOICES, ...choices })
