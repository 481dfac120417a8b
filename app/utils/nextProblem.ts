import { rulesIn, sameKind } from '../../core/course/index'
import { printProblem, type Problem, REPRESENTATIONS, type Setup, waysOf } from '../../core/door'

/**
 * The same kind of problem with other numbers, which the material holds and the way suits; none of `used` where others are left. On
 * beads the same kind is the same rules; where none is found so, the same exchanges will do, and else the problem itself comes again.
 */
export function nextProblem(
  { problem, representation, way, choices }: Setup,
  seed: number,
  used: readonly string[],
): string {
  const r = REPRESENTATIONS[representation]
  const suits = (p: Problem): boolean => r.fits(p, choices).fits && waysOf(p, r).some((w) => w.way === way)
  const rules = rulesIn(problem, representation, choices)
  const alike = (part: Problem): boolean =>
    rulesIn(part, representation, choices)?.every((rule, i) => rule === rules![i]) ?? false
  const found =
    (rules && sameKind(problem, seed, used, suits, alike)) ||
    sameKind(problem, seed, used, suits) ||
    sameKind(problem, seed, [], suits)
  return printProblem(found || problem)
}
