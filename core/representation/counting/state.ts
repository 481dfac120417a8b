import { stepWorth, type BeginAct } from '../../act/act'
import { toCount, type Exact } from '../../number/exact'
import type { Choices } from '../../choices'
import type { Fit } from '../../problem/fit'
import type { Problem } from '../../problem/problem'
import type { Representation, RepresentationId } from '../representation'

/**
 * Things that count one each: fingers, joint marks, tallies, counters, notches. What is out is counted; what is set
 * apart is not, until it is joined; a number can be held in the head and counted on or back from, one thing a word.
 */
export interface CountingState {
  /** How many things there are to use at once. */
  readonly room: number
  /** The number held in the head, or null where nothing is. */
  readonly head: number | null
  /** The count that was begun in steps, or null: its numbers are said, each step is one thing. */
  readonly begun: BeginAct | null
  /** What was remembered when the things ran out and were begun again: the card “ten stored”. */
  readonly stored: number
  /** Out and counted. */
  readonly out: number
  /** Set apart for the next number, not yet joined. */
  readonly apart: number
  /** Folded, crossed out or returned. */
  readonly taken: number
  /** Counted on (above nought) or back (below) from the head: how many things that took, and the words said with them. */
  readonly counted: number
  readonly said: readonly number[]
  /** Which things were touched, in that order, numbered from 1; only where the hand says which. */
  readonly touched: readonly number[]
  readonly read: Exact | null
}

export type CountingMove =
  /** Out of the store: raised, marked, drawn, put. */
  | { readonly kind: 'out'; readonly count: number; readonly at?: number }
  | { readonly kind: 'apart'; readonly count: number }
  | { readonly kind: 'join'; readonly count: number }
  | { readonly kind: 'take'; readonly count: number }
  /** Holds a number in the head; null lets go of it. */
  | { readonly kind: 'hold'; readonly number: number | null }
  /** Begins a count in steps, which is not a number held: what is counted are the steps. */
  | { readonly kind: 'begin'; readonly count: BeginAct }
  /** One more thing, with the word said for it. */
  | { readonly kind: 'on' | 'back'; readonly word: number; readonly at?: number }
  /** All things are used: what they counted is remembered, and they are begun again. */
  | { readonly kind: 'store' }
  /** The other way: what was remembered last is out again. */
  | { readonly kind: 'recall' }
  | { readonly kind: 'read'; readonly value: Exact | null }

/** The words of one material's hands. */
export interface Verbs {
  readonly out: string
  readonly apart: string
  readonly join: string
  readonly take: string
}

export interface Material {
  readonly id: RepresentationId
  readonly title: string
  readonly kind: Representation['kind']
  readonly verbs: Verbs
  /** One thing and several, for people: “finger”, “fingers”. */
  readonly thing: readonly [string, string]
  /** How the first number is set out, where it is not simply so many taps. */
  readonly opening?: string
  /** How many can be out at once, by the classroom's choices. */
  room(choices: Choices): number
  /** Whether its things come out of a bowl, so that there have to be enough. */
  readonly loose?: boolean
  /** Whether a full set is remembered and begun again. */
  readonly stores: boolean
  /** Whether the second number is set apart before it is joined; and what the button for that says, where it is not the verb. */
  readonly setsApart: boolean
  readonly apart?: string
  /** Whether answer cards are laid to it; and whether a product is counted in steps of the second number only. */
  readonly cards?: boolean
  readonly oneWay?: boolean
  fits(problem: Problem, choices?: Choices): Fit
  allows?(way: string, problem: Problem): boolean
  readonly prefers?: readonly string[]
}

/** What the things out are worth, with what is held and remembered. */
export const showing = (s: CountingState): number => (s.head ?? 0) + stepSize(s) * (s.stored + s.out + s.counted)

/** What one thing is worth: one, unless steps of a size are counted. */
export const stepSize = (s: CountingState): number => (s.begun ? toCount(stepWorth(s.begun)) : 1)

/** How many things are in use: out, or counting from the head. */
export const inUse = (s: CountingState): number => s.out + s.apart + Math.abs(s.counted)
