/** A line through points that a few odd ones do not bend: the median of all slopes between two of them (Theil 1950, Sen 1968). */
export interface Trend {
  /** Change of y for one of x. */
  readonly slope: number
  /** Value at x = 0: the median of y − slope · x. */
  readonly intercept: number
  /** Where the slope lies 95 times in 100, by Kendall’s statistic (Sen 1968); null where there are too few points. */
  readonly between: readonly [low: number, high: number] | null
}

export interface Point {
  readonly x: number
  readonly y: number
}

/** The middle of some numbers; of an even count the mean of the two in the middle. NaN of none. */
export function medianOf(numbers: readonly number[]): number {
  const sorted = [...numbers].sort((a, b) => a - b)
  const half = sorted.length / 2
  if (sorted.length === 0) return Number.NaN
  return sorted.length % 2 === 1 ? sorted[Math.floor(half)]! : (sorted[half - 1]! + sorted[half]!) / 2
}

/** As many points as are looked at; of more, the latest. */
const MOST = 400
/** The 97.5 % point of the normal distribution. */
const Z = 1.959964

/** Undefined of fewer than two points with different x. */
export function theilSen(points: readonly Point[]): Trend | undefined {
  const all = points.slice(-MOST)
  const slopes: number[] = []
  for (let i = 0; i < all.length; i++)
    for (let k = i + 1; k < all.length; k++) {
      const dx = all[k]!.x - all[i]!.x
      if (dx !== 0) slopes.push((all[k]!.y - all[i]!.y) / dx)
    }
  if (slopes.length === 0) return undefined
  const slope = medianOf(slopes)
  return { slope, intercept: medianOf(all.map((p) => p.y - slope * p.x)), between: between(slopes, all) }
}

/** How often values come more than once, each way of tying by its length. */
const ties = (values: readonly number[]): readonly number[] => {
  const counts = new Map<number, number>()
  for (const v of values) counts.set(v, (counts.get(v) ?? 0) + 1)
  return [...counts.values()].filter((n) => n > 1)
}
/** Variance of Kendall’s S, with ties in y. */
function variance(points: readonly Point[]): number {
  const n = points.length
  const term = (k: number): number => k * (k - 1) * (2 * k + 5)
  return (term(n) - ties(points.map((p) => p.y)).reduce((sum, t) => sum + term(t), 0)) / 18
}
function between(slopes: readonly number[], points: readonly Point[]): Trend['between'] {
  const c = Z * Math.sqrt(Math.max(0, variance(points)))
  const sorted = [...slopes].sort((a, b) => a - b)
  // The ranks of Sen’s interval, counted from one.
  const low = Math.round((sorted.length - c) / 2)
  const high = Math.round((sorted.length + c) / 2) + 1
  if (low < 1 || high > sorted.length) return null
  return [sorted[low - 1]!, sorted[high - 1]!]
}
