/** A stream of numbers from 0 (included) to 1 (excluded) that the same seed always repeats. */
export type Random = () => number

/** A small, well-mixed 32-bit generator: enough for setting problems, never for secrets. */
export function seeded(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x9e3779b9) >>> 0
    let z = state
    z = Math.imul(z ^ (z >>> 16), 0x85ebca6b)
    z = Math.imul(z ^ (z >>> 13), 0xc2b2ae35)
    return ((z ^ (z >>> 16)) >>> 0) / 0x1_0000_0000
  }
}

/** A whole number from `low` to `high`, both included. */
export const between = (random: Random, low: number, high: number): number =>
  low + Math.floor(random() * (high - low + 1))
