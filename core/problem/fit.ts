import type { RepresentationId } from '../materials'
import { capital } from '../number/words'
import { compare, exact, sign, sizeOf, ZERO } from '../number/exact'
import { MAX_DIGITS, numeralOf, printNumeral, valueOf, type Numeral } from '../number/numeral'
import { decimalsIn, isChain, totals, type Problem } from './problem'

/**
 * The sorts of ways: by kinds that are exchanged (`places`); numbers parted into kinds and gathered again (`parts`); numbers worked
 * whole; things counted one by one; the trick of the nines; beads on rods; or pieces dealt out to so many (`sharing`); plus and
 * minus ones that make zero pairs (`pairs`); arrows along a line (`arrows`); the rule of signs in writing (`signs`); equal parts of a
 * whole (`fractions`); or their rule in writing (`number-rule`); or nine times a number in writing (`nine-tricks`); the loop of long
 * division (`division`); equal groups (`groups`); the parts of a product (`products`); or coins (`coins`). A material says for which of them its hands are made.
 */
export type Sort =
  | 'fractions'
  | 'number-rule'
  | 'nine-tricks'
  | 'places'
  | 'parts'
  | 'whole'
  | 'counting'
  | 'nines'
  | 'beads'
  | 'sharing'
  | 'division'
  | 'groups'
  | 'products'
  | 'coins'
  | 'pairs'
  | 'arrows'
  | 'signs'

/** Whether a material can hold a problem; where it cannot, why, in words, and which representations could. */
/** Whether a material holds a problem; `stretched` where it does only just, so that others are offered first. */
export type Fit =
  | { readonly fits: true; readonly stretched?: true }
  | { readonly fits: false; readonly why: string; readonly instead: readonly RepresentationId[] }

export const FITS: Fit = { fits: true }

/** What a material of whole-number places must know of a problem before it can say whether it fits. */
export interface WholeLimits {
  /** The material as the reason names it: “the chart”. */
  readonly name: string
  /** The greatest number it can show. */
  readonly greatest: number
  /** Why it stops there: “it has no place above the thousands”. */
  readonly because: string
  /** How many places below the ones it has; none where absent. */
  readonly decimals?: number
  /** How many numbers a chain may have; twelve where absent, which a page holds. */
  readonly numbers?: number
  /** Whether totals on the way may fall below nought. */
  readonly below?: boolean
  /** Whether numbers and totals of either sign are at home on it. */
  readonly signed?: boolean
  /** Whether it also multiplies and divides. */
  readonly groups?: boolean
  /** Representations that go further. */
  readonly instead: readonly RepresentationId[]
}

/** What shows numbers below nought. */
const BELOW: readonly RepresentationId[] = ['signed', 'line', 'openline', 'signs']

/** What shows parts of a whole. */
const PARTED: readonly RepresentationId[] = ['strips', 'vessel', 'line']

/** A number as a sentence has it, with a real minus sign. */
const shown = (text: string): string => text.replace('-', '−')

/** As many numbers as one page of work holds. */
const PAGE = 12

/** The same problem without negative numbers, where it is a chain: `-5 + 8` is `0 - 5 + 8`, `8 - -3` is `8 + 3`. */
function fromNoughtUp({ first, terms }: Problem): string {
  const size = (n: Numeral): string => printNumeral(numeralOf(sizeOf(valueOf(n))))
  const below = (n: Numeral): boolean => sign(valueOf(n)) < 0
  const turned = (operation: string, n: Numeral): string => (below(n) ? (operation === '-' ? '+' : '-') : operation)
  const rest = terms.map(({ operation, number }) => `${turned(operation, number)} ${size(number)}`)
  return [below(first) ? `0 - ${size(first)}` : size(first), ...rest].join(' ')
}

/** The fit of every material that shows whole numbers from nought up to a greatest one, checked at each total on the way. */
export function fitWholes(problem: Problem, limits: WholeLimits): Fit {
  const no = (why: string, instead: readonly RepresentationId[]): Fit => ({
    fits: false,
    why: capital(why),
    instead,
  })
  if (problem.others)
    return no(`${limits.name} shows one amount; nothing lies beside it to be compared.`, ['strips', 'vessel', 'line'])
  if (problem.named) return no(`${limits.name} is not cut into other parts.`, ['strips', 'vessel'])
  if (problem.pairs) return no(`${limits.name} has no zero pairs: plus and minus counters have.`, ['signed'])
  if (problem.groups)
    return no(`${limits.name} works numbers one after another; it does not add equal groups together.`, ['coins'])
  if (!isChain(problem) && !limits.groups)
    return no(`${limits.name} adds and takes away; it does not multiply or divide.`, [
      'fingers',
      'nines',
      'plates',
      'groups',
      'area',
      'product',
      'division',
    ])
  const [numbers, room] = [1 + problem.terms.length, limits.numbers ?? PAGE]
  if (numbers > room)
    return no(`${limits.name} works chains of up to ${room} numbers; this one has ${numbers}.`, ['abacus'])
  // With decimals the digits after the point count among the nine that a number may have.
  const greatest = exact(Math.min(limits.greatest, 10 ** (MAX_DIGITS - Math.min(decimalsIn(problem), 8)) - 1))
  const most = printNumeral(numeralOf(greatest))
  for (const number of [problem.first, ...problem.terms.map((t) => t.number)]) {
    const value = valueOf(number)
    const text = shown(printNumeral(number))
    if (number.form === 'fraction' || number.decimals > (limits.decimals ?? 0)) {
      if (!limits.decimals)
        return no(`${text} is not a whole number, and ${limits.name} shows whole numbers only.`, PARTED)
      if (number.form === 'fraction') return no(`${text} is a fraction, and ${limits.name} is made of tens.`, PARTED)
      return no(`${text} goes beyond ${limits.name}: it has ${limits.decimals} places after the point.`, [])
    }
    if (sign(value) < 0 && limits.below && !limits.signed)
      return no(
        `${text} is below nought. On ${limits.name} a total may come there, but a number is set from nought up: ask ${fromNoughtUp(problem)}.`,
        BELOW,
      )
    if (sign(value) < 0 && !limits.signed)
      return no(`${text} is below nought, and ${limits.name} shows nothing below nought.`, BELOW)
    if (compare(sizeOf(value), greatest) > 0)
      return no(`${limits.name} holds ${most} at most: ${limits.because}; ${text} is more.`, limits.instead)
  }
  for (const [step, total] of totals(problem).entries()) {
    if (compare(total, ZERO) < 0 && !limits.below && !limits.signed)
      return no(
        `At number ${step + 1} of the chain the total is ${shown(total)}, below nought, and ${limits.name} shows nothing below nought.`,
        [...BELOW, 'abacus'],
      )
    if (compare(sizeOf(total), greatest) > 0)
      return no(
        `the total comes to ${shown(total)}; ${limits.name} holds ${most} at most: ${limits.because}.`,
        limits.instead,
      )
  }
  return FITS
}
