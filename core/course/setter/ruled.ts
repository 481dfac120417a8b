import { before, LESSONS, lessonId, lessonOf, numberOf, stepsOf } from '../chains/lessons'
import type { BeadRuleLimit } from './limits'

/** The frame that rules are set for: one upper bead and four lower ones on each rod. */
const BEADS = { upper: 1, lower: 4 } as const

/** Lessons taught before the lesson of the day, where a limit does not say: all that usually come before it. */
export const taughtBefore = ({ lesson, taught }: BeadRuleLimit): readonly string[] =>
  taught ?? before(lessonOf(lesson)!).map(lessonId)

/**
 * How often two digits, and one that comes from the rod below, use the lesson of the day on one rod; −1 where they need what has not
 * been taught. Working from the highest rod the one comes last, else first.
 */
export function usesIn(rule: BeadRuleLimit, way: 1 | -1): (x: number, y: number, over: number) => number {
  const steps = stepsOf(BEADS)
  const target = numberOf(lessonOf(rule.lesson)!)
  const taught = new Set(taughtBefore(rule))
  const known = LESSONS.map((l, i) => i === target || taught.has(lessonId(l)))
  return (x, y, over) => {
    let [shown, uses] = [x, 0]
    for (const digit of rule.order === 'ones' ? [over, y] : [y, over]) {
      if (digit === 0) continue
      const step = steps[shown * 19 + way * digit + 9]!
      if (!known[step.lesson]) return -1
      if (step.lesson === target) uses++
      shown = step.shown
    }
    return uses
  }
}
