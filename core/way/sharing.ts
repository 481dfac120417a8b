import { breakAct, piecesAct, type Act } from '../act/act'
import { shareOf, type Standing } from '../act/standing'
import { compare, exact, sign, toCount, ZERO } from '../number/exact'
import { valueOf } from '../number/numeral'
import { countOf, ladderOf } from '../number/units'
import { quotientOf, type Problem } from '../problem/problem'
import type { Way } from './way'

/** What was dealt to some and not to all is evened out first: given to the others while there is enough, else taken back. */
function evened(s: Standing, among: number): Act | undefined {
  if (s.aim.kind !== 'share') return undefined
  for (const { count, unit } of s.aim.dealt) {
    const over = count % among
    if (over === 0) continue
    const wanting = among - over
    return countOf(s.held, unit) >= wanting
      ? { kind: 'share', each: [{ count: 1, unit }], among: exact(wanting) }
      : { kind: 'share', each: [{ count: -1, unit }], among: exact(over) }
  }
  return undefined
}

/** From the greatest kind down: dealt as often as it goes round; what is left of it is broken, and dealt with the next kind. */
function next(problem: Problem, s: Standing): Act | null {
  if (!s.laid) return piecesAct('lay', s.left)
  const divisor = valueOf(problem.terms[0]!.number)
  const among = toCount(divisor)
  const even = evened(s, among)
  if (even) return even
  for (const { count, unit } of s.held) {
    const each = Math.floor(count / among)
    if (each > 0) return { kind: 'share', each: [{ count: each, unit }], among: divisor }
    const rung = ladderOf(s.units)?.find((r) => r.unit === unit)
    if (rung && count > 0) return breakAct(rung, count)
  }
  return readShare(s)
}

/** What each has, and what is left over, is read. */
function readShare(s: Standing): Act | null {
  const [value, remainder] = [shareOf(s), s.value]
  return s.read === value && (s.remainder ?? ZERO) === remainder ? null : { kind: 'read', value, remainder }
}

/** Divide, multiply, subtract, bring down, once for every digit: the same acts as sharing out by kinds. Practice, section 13. */
export const longDivision: Way = {
  id: 'long-division',
  title: 'long division',
  school: 'Divide, multiply, subtract, bring down: one turn for each digit, and the same turn again.',
  at: 'The division sheet, with its card over the digits that are not needed yet.',
  sort: 'division',
  aim: 'share',
  suits: (p) => quotientOf(p) !== null,
  next,
}

/** As many small groups as can still be followed one by one. */
const MOST_ROUNDS = 20

/** One to each, round by round, or one plate filled after another: what is in hand is broken to ones first. */
function oneByOne(problem: Problem, s: Standing): Act | null {
  if (!s.laid) return piecesAct('lay', s.left)
  const divisor = valueOf(problem.terms[0]!.number)
  const among = toCount(divisor)
  const even = evened(s, among)
  if (even) return even
  for (const { count, unit } of s.held) {
    const rung = ladderOf(s.units)?.find((r) => r.unit === unit)
    if (rung && count > 0) return breakAct(rung, count)
    if (!rung && count >= among) return { kind: 'share', each: [{ count: 1, unit }], among: divisor }
  }
  return readShare(s)
}

const fewRounds = (p: Problem): boolean => {
  const quotient = quotientOf(p)
  return quotient !== null && sign(quotient.by) > 0 && compare(quotient.value, exact(MOST_ROUNDS)) <= 0
}

/** Sharing as small learners do it. Practice, section 13; common practice, no source. */
export const dealRounds: Way = {
  id: 'deal-rounds',
  title: 'deal round by round',
  school: 'One to each, and round again, until there are too few for another round.',
  at: 'Plates: how many each is what one plate holds, however long it took.',
  sort: 'sharing',
  aim: 'share',
  suits: fewRounds,
  next: oneByOne,
}

/** The other meaning of dividing: how many groups of that size there are. Practice, section 13; common practice, no source. */
export const fillPlates: Way = {
  id: 'fill-plates',
  title: 'fill plate by plate',
  school: 'So many on one plate, then the next: how many plates are filled is the answer.',
  at: 'Plates that come one by one: the size of a group is known, how many groups there are is asked.',
  sort: 'sharing',
  aim: 'share',
  suits: fewRounds,
  next: oneByOne,
}

/** Practice, section 13; common practice, no source. */
export const shareOut: Way = {
  id: 'share-out',
  title: 'share out',
  school: 'The same to each, the greatest pieces first; what does not go round is exchanged and dealt with the next.',
  at: 'Plates, where every share is seen and what is left over stays in hand.',
  sort: 'sharing',
  aim: 'share',
  suits: (p) => quotientOf(p) !== null && p.terms[0]!.operation === '/',
  next,
}
