import type { RepresentationId } from '../../materials'
import { compare, exact, isWhole, subtract, toCount } from '../../number/exact'
import { valueOf } from '../../number/numeral'
import { FITS, fitWholes, type Fit } from '../../problem/fit'
import { isChain, totals, type Problem } from '../../problem/problem'

/** How far things that count one each go. */
interface Limits {
  /** The most that can be shown at once. */
  readonly total: number
  /** Why it ends there, to stand after a colon. */
  readonly why: string
  readonly instead: readonly RepresentationId[]
  /** The most steps of a count in steps, where it can keep one. */
  readonly steps?: number
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
    groups: limits.steps !== undefined,
  })
  if (!fit.fits) return fit
  if (!isChain(problem)) return fitSteps(problem, limits)
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

/** So many steps are kept without anything to remember besides: two hands, and no ten in the head. */
const AT_HAND = 10
/** The most a count in steps goes up to. */
const FARTHEST = 1000

/** A count in steps needs a thing for each step: the first factor, or the quotient, which must come out. */
function fitSteps(problem: Problem, limits: Limits): Fit {
  const no = (why: string): Fit => ({ fits: false, why, instead: ['plates'] })
  const [term] = problem.terms
  const [first, second, reached] = [valueOf(problem.first), valueOf(term!.number), totals(problem)[1]!]
  if (!isWhole(reached)) return no(`${first} ÷ ${second} does not come out: something is left over.`)
  if (compare(second, exact(0)) === 0) return no('Steps of nought lead nowhere.')
  const steps = term!.operation === '*' ? first : reached
  if (compare(steps, exact(limits.steps!)) > 0) return no(`That is ${steps} steps; ${limits.why}.`)
  const farthest = term!.operation === '*' ? reached : first
  if (compare(farthest, exact(FARTHEST)) > 0) return no(`${farthest} is too far to count to in steps.`)
  return compare(steps, exact(AT_HAND)) > 0 ? { fits: true, stretched: true } : FITS
}
