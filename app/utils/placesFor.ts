import { exact, type Problem, sizeOf, timesIn, totals, valueOf } from '../../core/door'

/** How many places from the ones up a mat shows for a problem: as many as its longest number or total has, at least two. */
export function placesFor(problem: Problem): number {
  const all = [...totals(problem), ...problem.terms.map((t) => valueOf(t.number))]
  return Math.max(2, ...all.map((v) => String(timesIn(sizeOf(v), exact(1)).times).length))
}
