import type { ChainWish } from './wish'
import { LESSONS, lessonId, numberOf, stepsOf, type Lesson } from './lessons'

/** More uses than this are not told apart. */
const MANY = 2
/** As many rods as any total here needs, and one. */
const RODS = 11

/** Tells how often adding a number to a total uses the lesson of the day; −1 where it needs something untaught. */
export type Classify = (total: number, by: number) => number

/**
 * The working of a number digit by digit as the beads would have it, on plain machine integers: the setter asks millions of
 * times. Its steps are the rods' own (`stepsOf`), so it cannot part from the planner.
 */
export function classifier(wish: ChainWish): Classify {
  return classified(wish, () => false)
}

/** Tells which untaught lessons a chain needs besides the lesson of the day. */
export function needs(wish: ChainWish): (chain: readonly number[]) => readonly Lesson[] {
  const missing = new Set<number>()
  const classify = classified(wish, (lesson) => missing.add(lesson) !== undefined)
  return (chain) => {
    missing.clear()
    let total = 0
    for (const [i, by] of chain.entries()) {
      if (i > 0) classify(total, by)
      total += by
    }
    return [...missing].map((i) => LESSONS[i]!)
  }
}

/** `untaught` is told of a lesson that has not been taught, and says whether it may be passed over. */
function classified({ lesson, rod, taught, order, beads }: ChainWish, untaught: (lesson: number) => boolean): Classify {
  const steps = stepsOf(beads)
  const target = numberOf(lesson)
  const known = new Uint8Array(LESSONS.length)
  for (const [i, l] of LESSONS.entries()) known[i] = taught.includes(lessonId(l)) ? 1 : 0
  const rods = new Int8Array(RODS)
  const digits = new Int8Array(RODS)

  /** One digit, and whatever it sets off above. */
  function work(at: number, digit: number, uses: number): number {
    for (let p = at, d = digit; d !== 0; p++) {
      const step = steps[rods[p]! * 19 + d + 9]!
      const here = step.lesson === target && (rod === 'any' || rod === p)
      if (here) uses = Math.min(MANY, uses + 1)
      else if (known[step.lesson] === 0 && !untaught(step.lesson)) return -1
      rods[p] = step.shown
      d = step.carry
    }
    return uses
  }

  return (total, by) => {
    const size = Math.abs(by)
    const way = by < 0 ? -1 : 1
    let count = 0
    for (let p = 0, t = total, n = size; p < RODS; p++) {
      rods[p] = t % 10
      t = (t - (t % 10)) / 10
      digits[p] = n % 10
      n = (n - (n % 10)) / 10
      if (digits[p]! > 0) count = p + 1
    }
    let uses = 0
    for (let i = 0; i < count && uses >= 0; i++) {
      const p = order === 'highest' ? count - 1 - i : i
      if (digits[p]! > 0) uses = work(p, way * digits[p]!, uses)
    }
    return uses
  }
}
