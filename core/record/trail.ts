/** A list that only grows at its end, each one sharing all that came before it: a longer one costs one link, not a copy. */
export interface Trail<T> {
  readonly length: number
  readonly last: T | null
  readonly before: Trail<T> | null
}

export const START: Trail<never> = { length: 0, last: null, before: null }

export const extended = <T>(trail: Trail<T>, item: T): Trail<T> => ({
  length: trail.length + 1,
  last: item,
  before: trail,
})

/** All items, the first first. */
export function listed<T>(trail: Trail<T>): readonly T[] {
  const all = new Array<T>(trail.length)
  for (let at: Trail<T> = trail; at.before !== null; at = at.before) all[at.length - 1] = at.last!
  return all
}
