import { valueOf } from '../../number/numeral'
import { toCount } from '../../number/exact'
import { FITS, fitWholes, type Fit } from '../../problem/fit'
import type { Problem } from '../../problem/problem'
import { counting } from '../counting/counting'

/** Both numerals are touched only where both have notches; what is taken away is counted back. */
function allows(way: string, problem: Problem): boolean {
  const [first, ...rest] = [problem.first, ...problem.terms.map((t) => t.number)].map((n) => toCount(valueOf(n)))
  const touchable = (n: number): boolean => n <= 9
  if (way === 'count-all') return [first!, ...rest].every(touchable)
  if (way === 'count-on' || way === 'count-back') return rest.every(touchable)
  return way === 'count-on-from-greater' || way === 'skip-count'
}

const no = (why: string): Fit => ({ fits: false, why, instead: ['touch-columns', 'counters', 'blocks'] })

/** Skip-counting one factor while the notches of the other, the first, are touched. */
function fitSteps({ first, terms }: Problem): Fit {
  const [factor, step] = [toCount(valueOf(first)), toCount(valueOf(terms[0]!.number))]
  const fingers = (why: string): Fit => ({ fits: false, why, instead: ['fingers'] })
  if (terms[0]!.operation === '/') return fingers('What is found by dividing has no notches yet to touch.')
  if (factor > 9) return fingers(`${factor} has two digits, and only numerals from 1 to 9 carry notches.`)
  return step === 0 || step > 99 ? fingers(`Steps of ${step} are not counted on touch numerals.`) : FITS
}

/** Only numerals 1 to 9 carry notches, so what is touched is one digit, and counting back starts from 18 at most. */
function fits(problem: Problem): Fit {
  const whole = fitWholes(problem, {
    name: 'counting one by one',
    greatest: 999,
    because: 'counting goes no further here',
    instead: ['blocks'],
    groups: true,
  })
  if (!whole.fits) return whole
  if (problem.terms.length > 1) return no('Touching works one number on or back from another; this chain has more.')
  const [term] = problem.terms
  if (!term) return FITS
  if (term.operation === '*' || term.operation === '/') return fitSteps(problem)
  const [first, second] = [toCount(valueOf(problem.first)), toCount(valueOf(term.number))]
  const touched = term.operation === '+' ? Math.min(first, second) : second
  if (touched > 9) return no(`${touched} has two digits, and only numerals from 1 to 9 carry notches.`)
  if (term.operation === '-' && first > 18) return no(`Counting back starts from 18 at most; ${first} is more.`)
  if (Math.max(first, second) > 99) return no(`${Math.max(first, second)} is too far to count on from.`)
  return FITS
}

/**
 * Numerals with notches, touched in pen order. Every numeral carries as many counts as it says (places.ts computes where).
 */
export const touch = counting({
  id: 'touch',
  title: 'touch numerals',
  kind: 'written',
  verbs: { out: 'touch', apart: 'ready', join: 'touch', take: 'untouch' },
  thing: ['touch', 'touches'],
  room: () => 18,
  opening: 'touch the notches of {number}, one after another',
  stores: false,
  setsApart: false,
  oneWay: true,
  fits,
  allows,
  prefers: ['count-on-from-greater', 'count-back'],
})
