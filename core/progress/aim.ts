import { DAY_MS } from '../days'
import type { Session } from './sessions'
import { medianOf } from './trend'

/** What a learner is to reach: of a step or of anything, on a day, so much of it without help. */
export interface Goal {
  /** The step it is about; empty where it is about all that is tried. */
  readonly step: string
  /** Right without help, 0 to 1. */
  readonly share: number
  /** By when, as YYYY-MM-DD. */
  readonly by: string
}

/** From the median of the first three sessions, on the day of the second, to the goal (practice, section 15; common practice). */
export interface AimLine {
  readonly from: { readonly day: string; readonly share: number }
  readonly to: { readonly day: string; readonly share: number }
}

const dayNumber = (day: string): number => Date.parse(`${day}T00:00:00Z`) / DAY_MS

/** Undefined with fewer than three sessions, or where the goal’s day has come before the line could begin. */
export function aimLine(sessions: readonly Session[], goal: Goal): AimLine | undefined {
  const first = sessions.slice(0, 3)
  if (first.length < 3 || goal.by <= first[1]!.day) return undefined
  return {
    from: { day: first[1]!.day, share: medianOf(first.map((s) => s.share)) },
    to: { day: goal.by, share: goal.share },
  }
}

/** Where the line is on a day; beyond its end it stays at the goal. */
export function aimAt({ from, to }: AimLine, day: string): number {
  const [a, b, x] = [dayNumber(from.day), dayNumber(to.day), dayNumber(day)]
  const t = Math.min(1, (x - a) / (b - a))
  return from.share + (to.share - from.share) * t
}
