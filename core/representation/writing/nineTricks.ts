import { change, printSum, type Act } from '../../act/act'
import { wholly } from '../../act/unfold'
import { add, exact, multiply, sign, subtract, type Exact } from '../../number/exact'
import { printExact } from '../../number/numeral'
import { piecesFor } from '../../number/units'
import { FITS, type Fit } from '../../problem/fit'
import { asProduct, nineInstead, takenNineTimes } from '../../problem/nines'
import type { Problem } from '../../problem/problem'
import { sumIn, sumWorth } from '../sums'
import { writing, type WritingState } from './writing'

/** Nine times a number in writing: one less and what it lacks to nine, or ten times less the number (practice, section 13). */

const [ONE, NINE, TEN] = [exact(1), exact(9), exact(10)]
const number = printExact

/** Nine times a number as tens and ones: `60 + 3 = 63`. */
const tensAndOnes = (n: Exact): string => {
  const tens = multiply(TEN, subtract(n, ONE))
  return `${number(tens)} + ${number(subtract(multiply(NINE, n), tens))} = ${number(multiply(NINE, n))}`
}

function lineFor(s: WritingState, act: Act): string {
  const { value } = s.standing
  switch (act.kind) {
    case 'rewrite':
      return `${printSum(act.left)} = ${printSum(act.right)}`
    case 'group':
      if (sign(value) !== 0 || sign(act.count) < 0) return sign(change(act)) === 0 ? '' : lineFor(s, wholly(act))
      if (act.size === NINE && act.count === takenNineTimes(s.problem)) return tensAndOnes(act.count)
      return `${number(act.count)} * ${number(act.size)} = ${number(multiply(act.count, act.size))}`
    case 'join':
    case 'take':
      return `${number(value)} ${act.kind === 'join' ? '+' : '-'} ${number(act.amount)} = ${number(add(value, change(act)))}`
    case 'lay':
      return number(act.amount)
    case 'count':
    case 'share':
      return sign(change(act)) === 0 ? '' : lineFor(s, wholly(act))
    case 'read':
      return act.value === value ? `${s.asked} = ${number(value)}` : `read ${number(act.value)}`
    default:
      return ''
  }
}

const TIMES = /^(\d+) \* (\d+) = /
const WORK = /^\d+ ([+-]) (\d+) = \d+$/

/** What a line of this page could be. */
function* reads(s: WritingState, text: string): Generator<Act> {
  const n = takenNineTimes(s.problem)!
  const begun = sign(s.standing.value) !== 0
  const [left, right] = text.split(' = ').map(sumIn)
  if (!begun && left && right && sumWorth(left) === sumWorth(right))
    for (const rule of ['one-less', 'to-nine'] as const) {
      const first = left[0]!.number
      const known = rule === 'one-less' ? first === n && left[1]?.number === ONE : first === NINE
      if (known && left.length === 2 && right.length === 1) yield { kind: 'rewrite', left, right, rule }
    }
  const [, count, size] = TIMES.exec(text) ?? []
  const times = (many: Exact, each: Exact): Act => ({
    kind: 'group',
    count: many,
    size: each,
    pieces: piecesFor(each, s.standing.units) ?? [],
  })
  if (!begun && count && size) yield times(exact(count), exact(size))
  if (!begun) yield times(n, NINE)
  const [, operation, amount] = WORK.exec(text) ?? []
  if (begun && operation && amount) yield { kind: operation === '+' ? 'join' : 'take', amount: exact(amount) }
}

function fits(problem: Problem): Fit {
  return takenNineTimes(problem) === undefined
    ? {
        fits: false,
        why: `${asProduct(problem)} is not nine times a whole number. These tricks hold only for nine, which is ten less one.${nineInstead(problem)}`,
        instead: ['fingers', 'plates'],
      }
    : FITS
}

export const nineTricks = writing({
  id: 'nine-tricks',
  title: 'tricks for nine',
  called: 'the tricks for nine',
  example: 'write 10 * 7 = 70',
  name: 'the page',
  sorts: ['nine-tricks'],
  fits,
  allows: (way) => way === 'one-less' || way === 'ten-less',
  line: lineFor,
  // The whole sentence may be written at once.
  also: (s, act) =>
    act.kind === 'group' && act.size === NINE ? `${s.asked} = ${number(multiply(act.count, NINE))}` : undefined,
  reads,
  cannotShow: (act) =>
    act.kind === 'exchange' || act.kind === 'split' || act.kind === 'gather'
      ? 'Numbers stay whole on this page: their parts are not written.'
      : '',
})
