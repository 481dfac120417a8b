import type { Choices } from '../choices'
import { subtract } from '../number/exact'
import { printExact, printNumeral, valueOf } from '../number/numeral'
import { awayFromFriendly, friendlyNear } from '../problem/friendly'
import { writtenIn } from '../problem/fitParts'
import { writesFractions, isChain, type Problem } from '../problem/problem'
import { REPRESENTATIONS } from '../representation/index'
import type { RepresentationId } from '../representation/representation'
import { waysOf } from '../way/index'
import type { WayId } from '../way/way'

/** What is known of a learner that a choice of way depends on. */
export interface Needs {
  /** Whether the learner loses track on the way, so that drawn tens help. */
  readonly losesTrack: boolean
}

/** One way that would fit, and why. The teacher decides. */
export interface Advice {
  readonly way: WayId
  readonly representation: RepresentationId
  readonly why: string
}

const digitsIn = (n: Problem['first']): number => (n.form === 'places' ? n.digits.replace(/^0+/, '').length : 0)

/** What a product or a division fits on: small ones are seen, long ones are written (practice, section 13; common practice, no source). */
function adviseGrouping(problem: Problem, choices: Choices): readonly Advice[] {
  const all: readonly (readonly [RepresentationId, WayId, string])[] = [
    ['coins', 'sort-and-count', 'Each coin that is counted moves over; where the kind changes, stop and say so.'],
    ['coins', 'stack-and-add', 'The second method: what each stack is worth is written, and all are added.'],
    ['groups', 'equal-groups', 'Every group is seen, and the total runs along.'],
    ['groups', 'split-groups', 'Five of them and some more: two easy products for a hard one.'],
    ['nines', 'nines', 'Nines are read from ten fingers.'],
    ['area', 'by-parts', 'Tens and ones of both numbers are parted, and no part can be forgotten.'],
    ['product', 'by-digit', 'On paper every digit is multiplied once, and what is too much is carried.'],
    ['plates', 'deal-rounds', 'One to each, round by round: how many each is seen on any plate.'],
    ['plates', 'share-out', 'Hundreds, tens and ones are dealt, and what does not go round is exchanged.'],
    ['plates', 'fill-plates', 'How many groups of that size there are is seen plate by plate.'],
    ['division', 'long-division', 'One turn for each digit: the same for three digits as for nine.'],
    ['fingers', 'skip-count', 'Fingers keep count of the steps.'],
  ]
  return all.flatMap(([representation, way, why]) => {
    const r = REPRESENTATIONS[representation]
    return r.fits(problem, choices).fits && waysOf(problem, r).some((w) => w.way === way)
      ? [{ representation, way, why }]
      : []
  })
}

/**
 * The ways that fit a problem, the most fitting first (practice, section 8; common practice, no source): an addend within 2 of
 * a ten is made friendly; else tens and ones apart; a learner who loses track draws; three or more addends or digits go on the
 * column sheet, where the class works it. Only ways that the material can hold are named.
 */
export function adviseWays(problem: Problem, choices: Choices, { losesTrack }: Needs): readonly Advice[] {
  if (!isChain(problem)) return adviseGrouping(problem, choices)
  if (problem.terms.length === 0) return []
  const numbers = [problem.first, ...problem.terms.map((t) => t.number)]
  const found: Advice[] = []
  const offer = (representation: RepresentationId, way: WayId, why: string): void => {
    const r = REPRESENTATIONS[representation]
    const known = found.some((a) => a.representation === representation && a.way === way)
    if (!known && r.fits(problem, choices).fits && waysOf(problem, r).some((w) => w.way === way))
      found.push({ representation, way, why })
  }
  if (writesFractions(problem)) {
    const bottoms = new Set(numbers.map(writtenIn).filter((n) => n > 1n))
    const mixed = numbers.some((n) => (n.form === 'fraction' ? n.whole !== '' : true))
    if (mixed) offer('strips', 'wholes-apart', 'There are wholes: they go with wholes, and parts with parts.')
    if (bottoms.size < 2) offer('strips', 'same-parts', 'All parts are of one size: count them, the size stays.')
    offer(
      'strips',
      'common-parts',
      'The parts are of different sizes: on strips both are cut into common ones, and the length stays.',
    )
    offer('line', 'arrows', 'On the line every number is a way to go, also beyond one and below nought.')
    offer('fraction-rule', 'number-rule', 'In writing, once strips have shown why the bottoms have to be the same.')
    return found
  }
  if (losesTrack) offer('drawn', 'ones-first', 'Drawn tens stay in sight: nothing has to be kept in the head.')
  const [term] = problem.terms
  if (problem.terms.length === 1) {
    const [first, second] = [valueOf(problem.first), valueOf(term!.number)]
    const near = (n: typeof first): string => {
      const [away, ten] = [awayFromFriendly(n) ?? 9, friendlyNear(n)]
      return away > 0 && away <= 2 && ten
        ? `${printExact(n)} is ${printExact(subtract(ten, n)).replace('-', '')} away from ${printExact(ten)}.`
        : ''
    }
    const [a, b] = [near(first), near(second)]
    if (term!.operation === '+' && (a || b))
      offer('friendly', 'make-friendly', `${a || b} Give it what it needs, and the rest is easy.`)
    if (term!.operation === '-' && b) offer('friendly', 'over-and-back', `${b} Take that away and put it right.`)
    const gap = Number(printExact(subtract(first, second)))
    if (term!.operation === '-' && gap >= 0 && gap <= 20)
      offer(
        'openline',
        'hop-up',
        `${printExact(second)} and ${printExact(first)} lie near each other: hop up from the one to the other.`,
      )
  }
  const long = numbers.find((n) => digitsIn(n) > 2)
  if (choices.columnMethod) {
    if (numbers.length > 2)
      offer(
        'columns',
        problem.terms.every((t) => t.operation === '+') ? 'by-column' : 'ones-first',
        `There are ${numbers.length} numbers: on the column sheet each place is worked once.`,
      )
    else if (long)
      offer(
        'columns',
        'ones-first',
        `${printNumeral(long)} has ${digitsIn(long)} digits: the column sheet keeps them in line.`,
      )
  }
  if (numbers.length > 2)
    offer('abacus', 'compensate', `One setting carries the whole chain of ${numbers.length} numbers, digit by digit.`)
  offer('partials', 'apart', 'Tens with tens, ones with ones, then both together: it always works.')
  offer('openline', 'hops', 'One number stays whole; tens and ones are hopped, and every landing is written.')
  offer('drawn', 'ones-first', 'Squares, lines and dots show each exchange.')
  if (choices.columnMethod) offer('columns', 'ones-first', 'The column sheet, with every mark.')
  return found
}
