import type { Person, Scene } from '../scene'
import type { Cell, Role, SituationId } from '../situation'

/** What every sentence of a story is made of. */

/** Words for one story: its people, and numbers with what they count. */
export interface Telling {
  readonly scene: Scene
  readonly who: Person
  readonly other: Person
  /** Things that are bought: one and several of each. */
  readonly goods: readonly [readonly [string, string], readonly [string, string]]
  /** Where it is, once it has been said: again, or left out where sentences are kept short. */
  readonly where: string
  /** A number alone, or “some” where it is left out. */
  n(role: Role): string
  /** So many of it: “8 lanterns”, “one lantern”, “£1.35”. */
  of(role: Role): string
  /** The noun that goes with a number. */
  noun(role: Role): string
  is(role: Role): string
}

/** A situation as it is told. `#` in the answer stands for the number that is asked. */
export interface Said {
  readonly tells: readonly string[]
  readonly asks: string
  readonly answers: string
}
export type Saying = (cell: Cell, t: Telling) => Said
/** What can happen with one kind of amounts, and how it is told. */
export type Sayings = Partial<Record<SituationId, Saying>>

export const capitalized = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1)

/** Whoever was named before, as they are named again, with a verb that goes with it: “she has”, “they have”, “Wren has”. */
export const again = ({ name, pronoun }: Person): string => pronoun ?? name
export const plural = ({ pronoun }: Person): boolean => pronoun === 'they'
export const verb = (p: Person, [one, many]: readonly [string, string]): string =>
  `${again(p)} ${plural(p) ? many : one}`
export const does = (p: Person): string => (plural(p) ? `do ${again(p)}` : `does ${again(p)}`)
