import { exact, isWhole, sum, type Exact } from '../../number/exact'
import { wholeAndRest } from '../../number/fractions'
import { FITS, type Fit } from '../../problem/fit'
import { fitParts } from '../../problem/fitParts'
import { amountsOf, hasParts, totals, type Problem } from '../../problem/problem'
import { MOST_PARTS } from '../../number/units'
import { partsMaterial } from '../parts/parts'

/** As many containers as stand side by side. */
export const MOST_VESSELS = 4

/** How many containers an amount fills or begins. */
const filled = (value: Exact): number => Number(wholeAndRest(value).whole) + (isWhole(value) ? 0 : 1)

function room(problem: Problem): Fit {
  const most = Math.max(...totals(problem).map(filled), 1)
  const beside = amountsOf(problem).slice(1).map(filled)
  const all = Number(sum([most, ...beside].map((n) => exact(n))))
  return all <= MOST_VESSELS || problem.terms[0]?.operation === '*'
    ? FITS
    : {
        fits: false,
        why: `That fills ${all} containers, and ${MOST_VESSELS} stand side by side.`,
        instead: ['strips', 'line'],
      }
}

/** Containers filled in equal levels. */
export const vessel = partsMaterial({
  id: 'vessel',
  title: 'vessel',
  called: 'the vessel',
  kind: 'concrete',
  opening: 'fill in {number}: pour {pieces} from the store',
  example: 'lay 3 tenths · set 4 tenths · push · read 7/10',
  fits: (problem: Problem) => {
    if (!hasParts(problem))
      return {
        fits: false,
        why: 'There are no parts of a whole in this problem, and a vessel is filled in parts.',
        instead: ['blocks', 'chips'],
      }
    const fit = fitParts(problem, {
      name: 'the vessel',
      wholes: MOST_VESSELS,
      because: 'as many containers stand side by side',
      parts: MOST_PARTS,
      decimals: 2,
      amounts: MOST_VESSELS,
      instead: ['strips', 'line'],
    })
    return fit.fits ? room(problem) : fit
  },
})
