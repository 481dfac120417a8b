import type { BeadRule, Lack, Direction } from '../../act/beads'
import { setting, type Beads, type Rod } from './frame'

/** How a digit goes on one rod: by which rule, and why not by an earlier one. */
export interface Decision {
  readonly rule: BeadRule
  readonly rejected: readonly Lack[]
}

/** The rules in the order in which they are tried. */
export const RULES: readonly BeadRule[] = ['direct', 'five', 'ten', 'mixed']

/** The beads a rod is worked with: a fifth lower or a second upper bead, or a tenth, stays in reserve. */
export const worked = (beads: Beads): Beads =>
  beads.upper > 0 ? { upper: 1, lower: 4 } : { upper: 0, lower: Math.min(9, beads.lower) }

/** What beads a digit asks for at once: five from above where there is one, the rest from below. */
export const asked = (digit: number, beads: Beads): Rod => setting(digit, beads)

/** What a rod lacks for a movement of beads one way; undefined where nothing. */
function lacking(rod: Rod, by: Rod, way: Direction, beads: Beads, rule: BeadRule): Lack | undefined {
  for (const side of ['upper', 'lower'] as const) {
    const there = way > 0 ? beads[side] - rod[side] : rod[side]
    if (by[side] > there) return { rule, side, wanted: by[side], there }
  }
  return undefined
}

/** What stands against one rule for a digit on a rod; undefined where it holds, `null` where the digit has no such rule. */
export function against(
  rule: BeadRule,
  rod: Rod,
  digit: number,
  way: Direction,
  frame: Beads,
): Lack | null | undefined {
  const beads = worked(frame)
  const other: Direction = way > 0 ? -1 : 1
  const back = 10 - digit
  switch (rule) {
    case 'direct':
      return lacking(rod, asked(digit, beads), way, beads, rule)
    case 'five':
      if (digit > 4 || beads.upper === 0) return null
      return (
        lacking(rod, { upper: 1, lower: 0 }, way, beads, rule) ??
        lacking(rod, { upper: 0, lower: 5 - digit }, other, beads, rule)
      )
    case 'ten':
      return lacking(rod, asked(back, beads), other, beads, rule)
    case 'mixed':
      if (digit < 6 || beads.upper === 0) return null
      return (
        lacking(rod, { upper: 1, lower: 0 }, other, beads, rule) ??
        lacking(rod, { upper: 0, lower: 5 - back }, way, beads, rule)
      )
  }
}

/**
 * By which rule a digit from 1 to 9 goes on a rod (practice, section 9): the first that the beads allow, and what each
 * earlier one lacked. Rods of the usual setting always allow just one.
 */
export function decide(rod: Rod, digit: number, way: Direction, frame: Beads): Decision {
  const rejected: Lack[] = []
  for (const rule of RULES) {
    const lack = against(rule, rod, digit, way, frame)
    if (lack === undefined) return { rule, rejected }
    if (lack) rejected.push(lack)
  }
  throw new Error(`no rule for ${way * digit} on a rod with ${rod.upper} and ${rod.lower}`)
}

/** What a digit is made of by a rule, in the rod's own units, in the order in which it is done: +7 as +2 −5 +10. */
export function formula(rule: BeadRule, digit: number, way: Direction, first: 'ten' | 'complement'): readonly number[] {
  const back = 10 - digit
  const withTen = (complement: readonly number[]): readonly number[] =>
    (first === 'ten' ? [10, ...complement] : [...complement, 10]).map((n) => way * n)
  switch (rule) {
    case 'direct':
      return [way * digit]
    case 'five':
      return [way * 5, -way * (5 - digit)]
    case 'ten':
      return withTen([-back])
    case 'mixed':
      // Beads come to the bar before others leave it.
      return withTen(way > 0 ? [5 - back, -5] : [-5, 5 - back])
  }
}
