import type { BeadRule, Direction } from '../../act/beads'
import { digitOn, setting, type Beads } from '../../representation/abacus/frame'
import { decide, formula } from '../../representation/abacus/rules'

/** One thing taught on beads: a digit added or taken away by a rule. */
export interface Lesson {
  readonly rule: BeadRule
  readonly way: Direction
  readonly digit: number
}

/** A lesson as short text: `five+2`, `mixed-7`. */
export const lessonId = ({ rule, way, digit }: Lesson): string => `${rule}${way > 0 ? '+' : '-'}${digit}`

const both = (rule: BeadRule, digits: readonly number[]): readonly Lesson[] =>
  ([1, -1] as const).flatMap((way) => digits.map((digit) => ({ rule, way, digit })))

/**
 * Every lesson in the usual order of teaching (practice, section 9): direct; five complements from 1 to 4; ten complements and
 * mixed from 9 downwards; of each first adding, then taking away. Common practice, no source.
 */
export const LESSONS: readonly Lesson[] = [
  ...both('direct', [1, 2, 3, 4, 5, 6, 7, 8, 9]),
  ...both('five', [1, 2, 3, 4]),
  ...both('ten', [9, 8, 7, 6, 5, 4, 3, 2, 1]),
  ...both('mixed', [9, 8, 7, 6]),
]

export const lessonOf = (id: string): Lesson | undefined => LESSONS.find((l) => lessonId(l) === id)

/** The lessons that come before one, as they are usually taught. */
export const before = (lesson: Lesson): readonly Lesson[] =>
  LESSONS.slice(
    0,
    Math.max(
      0,
      LESSONS.findIndex((l) => lessonId(l) === lessonId(lesson)),
    ),
  )

/** What a digit does on a rod that shows `shown`: by which lesson, what the rod shows then, and what goes to the next rod. */
export interface Step {
  readonly lesson: number
  readonly shown: number
  readonly carry: -1 | 0 | 1
}

/** The lessons' numbers, so that tables can be looked up fast: the index in LESSONS. */
const NUMBERS = new Map(LESSONS.map((l, i) => [lessonId(l), i]))
export const numberOf = (lesson: Lesson): number => NUMBERS.get(lessonId(lesson)) ?? -1

/** Every step a rod can make, at `shown * 19 + digit + 9`, digits from −9 to 9; nought stays undefined. */
export function stepsOf(beads: Beads): readonly (Step | undefined)[] {
  const steps: (Step | undefined)[] = new Array(190).fill(undefined)
  for (let shown = 0; shown <= 9; shown++)
    for (let d = -9; d <= 9; d++) {
      if (d === 0) continue
      const [way, digit] = [d > 0 ? 1 : -1, Math.abs(d)] as const
      const { rule } = decide(setting(shown, beads), digit, way, beads)
      const carried = formula(rule, digit, way, 'ten').includes(way * 10)
      const after = digitOn(setting(shown, beads)) + d - (carried ? way * 10 : 0)
      steps[shown * 19 + d + 9] = {
        lesson: numberOf({ rule, way, digit }),
        shown: after,
        carry: carried ? way : 0,
      }
    }
  return steps
}
