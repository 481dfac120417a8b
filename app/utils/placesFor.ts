import { valueOf } from '../../core/number/numeral'
import { sizeOf } from '../../core/number/exact'
import { digitsOf } from '../../core/number/places'
import { decimalsIn, totals, type Problem } from '../../core/problem/problem'

/** How many places from the ones up a mat shows for a problem: as many as its longest number or total has, at least two. */
export function placesFor(problem: Problem): number {
  const decimals = decimalsIn(problem)
  const all = [...totals(problem), ...problem.terms.map((t) => valueOf(t.number))]
  return Math.max(2, ...all.map((v) => digitsOf(sizeOf(v), decimals + 1, decimals).length - decimals))
}
