/** The classroom's settings that a way, a representation or the speech honours. Plain JSON. */
export interface Choices {
  /** The word pack used on screen, in speech and in print. */
  readonly words: WordPackId
}

export type WordPackId = 'exchange' | 'regroup'

export const DEFAULT_CHOICES: Choices = { words: 'exchange' }

export const withDefaults = (choices?: Partial<Choices>): Choices => ({ ...DEFAULT_CHOICES, ...choices })
