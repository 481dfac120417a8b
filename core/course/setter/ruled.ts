import { LESSONS, lessonId, stepsOf } from '../chains/lessons'
import type { BeadRuleLimit } from './limits'

/** The frame that rules are set for: one upper bead and four lower ones on each rod. */
const BEADS = { upper: 1, lower: 4 } as const

/** Lessons that have been taught, where a limit does not say: those of the day, and all that usually come before them. */
export function taughtWith({ lessons, taught }: BeadRuleLimit): readonly string[] {
  const last = Math.max(...LESSONS.map((l, i) => (lessons.includes(lessonId(l)) ? i : -1)))
  return [...lessons, ...(taught ?? LESSONS.slice(0, last).map(lessonId))]
}

/**
 * How often two digits, and one that comes from the rod below, use a lesson of the day on one rod; −1 where they need what has not
 * been taught. Working from the highest rod the one comes last, else first.
 */
export function usesIn(rule: BeadRuleLimit, way: 1 | -1): (x: number, y: number, over: number) => number {
  const steps = stepsOf(BEADS)
  const taught = new Set(taughtWith(rule))
  const known = LESSONS.map((l) => taught.has(lessonId(l)))
  const wanted = LESSONS.map((l) => rule.lessons.includes(lessonId(l)))
  return (x, y, over) => {
    let [shown, uses] = [x, 0]
    for (const digit of rule.order === 'ones' ? [over, y] : [y, over]) {
      if (digit === 0) continue
      const step = steps[shown * 19 + way * digit + 9]!
      if (!known[step.lesson]) return -1
      if (wanted[step.lesson]) uses++
      shown = step.shown
    }
    return uses
  }
}
