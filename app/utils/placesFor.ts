import { valueOf } from '../../core/number/numeral'
import { exact, sizeOf, timesIn } from '../../core/number/exact'
import { totals, type Problem } from '../../core/problem/problem'

/** How many places from the ones up a mat shows for a problem: as many as its longest number or total has, at least two. */
export function placesFor(problem: Problem): number {
  const all = [...totals(problem), ...problem.terms.map((t) => valueOf(t.number))]
  return Math.max(2, ...all.map((v) => String(timesIn(sizeOf(v), exact(1))).length))
}
