/** Where the landings of an open number line stand, in pixels. Pure, so that it can be tested without a browser. */

/** The least room between two landings, so that their numbers can be read. */
const LEAST = 54

/**
 * Places in order along a width: in proportion as far as it goes, but never nearer to each other than can be read; an open
 * line keeps the order of its numbers, not their scale. Equal values share a place.
 */
export function spread(values: readonly number[], width: number, pad = 60): ReadonlyMap<number, number> {
  const sorted = [...new Set(values)].sort((a, b) => a - b)
  if (sorted.length === 0) return new Map()
  if (sorted.length === 1) return new Map([[sorted[0]!, width / 2]])
  const room = Math.max(1, width - 2 * pad)
  const least = Math.min(LEAST, room / (sorted.length - 1))
  const free = room - least * (sorted.length - 1)
  const range = sorted.at(-1)! - sorted[0]!
  let x = pad
  return new Map(
    sorted.map((v, i) => {
      if (i > 0) x += least + (free * (v - sorted[i - 1]!)) / range
      return [v, x]
    }),
  )
}
