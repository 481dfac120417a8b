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

/** The items at the end, from the last one back, as far as they are asked for. */
export function* backwards<T>(trail: Trail<T>): Generator<T> {
  for (let at: Trail<T> = trail; at.before !== null; at = at.before) yield at.last!
}

/** What a longer trail has that a shorter one, which it goes on from, has not; the first first. */
export function since<T>(longer: Trail<T>, shorter: Trail<T>): readonly T[] {
  const more: T[] = []
  for (let at: Trail<T> = longer; at.length > shorter.length && at.before !== null; at = at.before) more.push(at.last!)
  return more.reverse()
}
