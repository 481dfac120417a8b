import { compare, exact, subtract, toCount } from '../number/exact'
import { valueOf } from '../number/numeral'
import { fitWholes, type Fit } from '../problem/fit'
import { totals, type Problem } from '../problem/problem'

/** How far things that count one each go. */
interface Limits {
  /** The most that can be shown at once. */
  readonly total: number
  /** Why it ends there, to stand after a colon. */
  readonly why: string
  readonly instead: readonly string[]
  /** Where there is a better sentence: how many of the wanted still go on before there are none. */
  readonly reaches?: (free: number, wanted: number) => string
}

/** The fit of a counting material: whole numbers from nought, and no total above what there is to count with. */
export function fitCounting(problem: Problem, limits: Limits): Fit {
  const fit = fitWholes(problem, {
    name: 'counting one by one',
    greatest: 999_999_999,
    because: '',
    instead: limits.instead,
  })
  if (!fit.fits) return fit
  const most = exact(limits.total)
  for (const [i, total] of totals(problem).entries()) {
    if (compare(total, most) <= 0) continue
    const term = problem.terms[i - 1]
    const before = term && totals(problem)[i - 1]!
    const sum = term ? `${before} + ${toCount(valueOf(term.number))} is ${total}` : `${total} is asked`
    const reason =
      term && limits.reaches
        ? limits.reaches(toCount(subtract(most, before!)), toCount(valueOf(term.number)))
        : `It holds ${limits.total}: ${limits.why}.`
    return { fits: false, why: `${sum}. ${reason}`, instead: limits.instead }
  }
  return fit
}
