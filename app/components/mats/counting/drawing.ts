import type { Setup } from '../../../../core/door'
import type { CountingState } from '../../../../core/representation/counting/state'

/** What every drawing of a counting material is given. */
export interface Drawing {
  readonly state: CountingState
  readonly setup: Setup
  /** Whether hands may change it. */
  readonly movable: boolean
  readonly newest: boolean
  /** What lies there, in words. */
  readonly described: string
  /** How many of the things out stand for the first number. */
  readonly first: number
}

/** What a drawing says back: one more, or one fewer. */
export interface DrawingSays {
  /** With the number of the thing meant, from 1, where a hand can say which. */
  more: [at?: number]
  less: []
  /** One set apart for the next number, and one of those joined. */
  apart: []
  join: []
}
