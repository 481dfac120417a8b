/** One choice of a classroom: where it is kept, how it is asked, and what may be chosen, each with its name. */
export interface ChoiceRow<Key extends string = string> {
  readonly key: Key
  readonly label: string
  readonly options: readonly (readonly [string | number, string])[]
}
