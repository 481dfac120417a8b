import { exact } from '../number/exact'
import { sheetOf, type Sheet } from './columnWork'
import { comingTo, type Procedure } from './procedure'

/**
 * Mistaken ways on a bead frame with an upper bead of five and four ones to the rod (practice, sections 9 and 14; common practice, no
 * source). A rod holds 0 to 9; numbers are worked a digit at a time, the highest first.
 */

/** Rods, the ones first. */
type Rods = number[]

/** How a mistaken hand works a digit on a rod where beads alone do not do; false where it does as the rule does. */
interface BeadHabit {
  /** Ten is needed from, or goes to, the next rod. `up` is 1 in adding, −1 in taking away. */
  ten?(rods: Rods, rod: number, digit: number, up: 1 | -1): boolean
  /** The digit goes through the five of this rod. */
  five?(rods: Rods, rod: number, digit: number, up: 1 | -1): boolean
  /** Every digit is worked this many rods further up. */
  readonly shift?: number
}

/** Works one digit by the rule: on this rod, or with one on the next and the complement here. */
function work(rods: Rods, rod: number, digit: number, up: 1 | -1, habit: BeadHabit): boolean {
  if (digit === 0) return true
  if (rod >= rods.length) return false
  const after = rods[rod]! + up * digit
  if (after < 0 || after > 9) {
    if (habit.ten?.(rods, rod, digit, up)) return true
    if (!work(rods, rod + 1, 1, up, habit)) return false
    rods[rod]! -= up * (10 - digit)
    return true
  }
  const lower = rods[rod]! % 5
  const alone =
    up > 0
      ? digit >= 5
        ? lower + digit - 5 <= 4
        : lower + digit <= 4
      : digit >= 5
        ? lower >= digit - 5
        : lower >= digit
  if (!alone && digit < 5 && habit.five?.(rods, rod, digit, up)) return true
  rods[rod] = after
  return true
}

/** What a sheet's numbers come to on the frame; null where a hand would run off it. */
function worked({ operation, rows, lengths, width }: Sheet, habit: BeadHabit): number | null {
  const rods: Rods = [...rows[0]!, 0, 0, 0]
  const up = operation === '+' ? 1 : -1
  for (const [i, row] of rows.slice(1).entries())
    for (let rod = Math.min(width, lengths[i + 1]!) - 1; rod >= 0; rod--)
      if (!work(rods, rod + (habit.shift ?? 0), row[rod]!, up, habit)) return null
  return rods.reduceRight((all, n) => all * 10 + n, 0)
}

const beads = (id: string, name: string, habit: BeadHabit): Procedure => ({
  id,
  name,
  computes: (problem) => {
    const sheet = sheetOf(problem)
    if (!sheet || sheet.decimals > 0) return []
    const value = worked(sheet, habit)
    return value === null ? [] : comingTo([exact(value)])
  },
})

export const tenNotGivenBack = beads('ten-not-given-back', 'moved ten without giving back', {
  ten: (rods, rod, _, up) => work(rods, rod + 1, 1, up, {}),
})

export const gaveDigitBack = beads('digit-given-back', 'gave back the digit itself, not what it lacks to ten', {
  ten: (rods, rod, digit, up) => {
    const left = rods[rod]! - up * digit
    if (left < 0 || left > 9 || !work(rods, rod + 1, 1, up, {})) return false
    rods[rod] = left
    return true
  },
})

export const nextRodForgotten = beads('next-rod-forgotten', 'forgot the next rod', {
  ten: (rods, rod, digit, up) => {
    rods[rod]! -= up * (10 - digit)
    return true
  },
})

export const lowerCleared = beads('lower-cleared', 'cleared all lower beads', {
  five: (rods, rod, _, up) => {
    if (up < 0) return false
    rods[rod] = 5
    return true
  },
})

export const wrongRod = beads('wrong-rod', 'worked on the wrong rod', { shift: 1 })
