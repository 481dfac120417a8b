import { breakAct, piecesAct, type Act, type AmountAct } from '../act/act'
import { fullPiles } from '../act/unfold'
import { isRead, owing, stepsOf, termDone, type Standing } from '../act/standing'
import type { Choices } from '../choices'
import { add, compare, exact, negate, sign, subtract, type Exact } from '../number/exact'
import { MAX_DIGITS, valueOf } from '../number/numeral'
import { unitOf } from '../number/places'
import { countOf, ladderOf, piecesFor, worthOf, type Pieces } from '../number/units'
import { friendlyNear, reach } from '../problem/friendly'
import { decimalsIn, hasBelow, isChain, type Problem } from '../problem/problem'
import { inHand, inTurn } from './inTurn'
import type { Way } from './way'

/** Working with numbers whole, or parted into tens and ones (practice, section 8; common practice, no source). */

/** An amount worked whole: how it goes in places is the material's own affair. */
const whole = (kind: AmountAct['kind'], amount: Exact): Act => ({ kind, amount })

/** What pieces are worth kind by kind, the greatest first. */
const worths = (pieces: readonly Pieces[]): readonly Exact[] => pieces.map((p) => worthOf([p]))
const partsOf = (value: Exact, s: Standing): readonly Exact[] => worths(piecesFor(value, s.units) ?? [])

/** Every way here sets out the first number in its pieces; nothing is so many pieces below nought, and such a number is laid whole. */
const frame = (problem: Problem, s: Standing, work: () => Act | null): Act | null =>
  inTurn(problem, s, () => (sign(owing(s)) < 0 ? whole('lay', owing(s)) : piecesAct('lay', s.left)), work)

/* --- tens and ones apart --- */

function apart(problem: Problem, s: Standing): Act | null {
  return frame(problem, s, () => {
    const parts = partsOf(inHand(problem, s), s)
    if (s.parted < s.begun && parts.length > 1 && (s.begun === 1 || !termDone(s)))
      return { kind: 'split', whole: inHand(problem, s), parts }
    if (!termDone(s)) return partWork(s)
    const held = worths(s.held)
    const [full] = fullPiles(s.held, s.units)
    if (held.length === 1 && full) return full
    return !s.gathered && s.begun > 1 && held.length > 1 ? { kind: 'gather', whole: s.value, parts: held } : null
  })
}

/** Place by place from the greatest; where there is not enough to take from, the parting is changed first. */
function partWork(s: Standing): Act | null {
  const rest = owing(s)
  if (sign(rest) < 0) return null
  const left = s.left.some((p) => p.count < 0) ? (piecesFor(rest, s.units) ?? []) : s.left
  if (s.doing === '-') {
    const short = left.findLast((p) => countOf(s.held, p.unit) < p.count)
    if (short) {
      const above = (ladderOf(s.units) ?? []).filter((r) => compare(r.unit, short.unit) > 0)
      const from = above.find((r) => countOf(s.held, r.unit) > 0)
      return from ? breakAct(from) : null
    }
  }
  const part = left.find((p) => p.count > 0)
  return part ? piecesAct(s.doing === '-' ? 'take' : 'join', [part]) : null
}

export const apartWay: Way = {
  id: 'apart',
  title: 'tens and ones apart',
  school: 'Both numbers are parted; tens with tens, ones with ones; then the parts are put together.',
  at: 'Partial sums and the split diagram; blocks, chips and drawn tens with the greatest place first.',
  sort: 'parts',
  suits: (p) => isChain(p) && p.terms.length > 0,
  next: apart,
}

/* --- the first number whole, the second in hops --- */

/** The next hop from a position: the greatest place of what is left, all of it or one at a time. */
function hop(s: Standing, choices: Choices): Act | null {
  const rest = owing(s)
  if (sign(rest) <= 0) return null
  const [greatest] = piecesFor(rest, s.units) ?? [{ count: 1, unit: rest }]
  // It is tens that may be hopped one by one; ones go in one hop, and so do hundreds and more.
  const single = choices.hops === 'single' && greatest!.unit === unitOf(1)
  return whole(s.doing === '-' ? 'take' : 'join', single ? greatest!.unit : worthOf([greatest!]))
}

export const hops: Way = {
  id: 'hops',
  title: 'hops from the first number',
  school: 'One number stays whole; the other is hopped: tens first, one by one or together, then ones.',
  at: 'The open number line; also blocks, chips and running equations.',
  sort: 'whole',
  suits: (p) => isChain(p) && p.terms.length > 0,
  arrange: (problem, { startFrom }) => {
    const [term] = problem.terms
    const swaps = startFrom === 'greater' && problem.terms.length === 1 && term!.operation === '+'
    if (!swaps || compare(valueOf(term!.number), valueOf(problem.first)) <= 0) return problem
    return { first: term!.number, terms: [{ operation: '+', number: problem.first }] }
  },
  next: (problem, s, choices) => frame(problem, s, () => (termDone(s) ? null : hop(s, choices))),
}

/** A difference as a way to go: from the smaller number to the next ten, then tens, then ones. */
export const hopUp: Way = {
  id: 'hop-up',
  title: 'hop up to the greater number',
  school: 'From the number taken away up to the first; what was hopped in all is the difference.',
  at: 'The open number line, where the two numbers lie near each other.',
  sort: 'whole',
  aim: 'steps',
  suits: (p) =>
    p.terms.length === 1 && p.terms[0]!.operation === '-' && sign(valueOf(p.terms[0]!.number)) > 0 && !hasBelow(p),
  next: (problem, s, choices) => {
    const begun = stepsOf(s)
    const from = valueOf(problem.terms[0]!.number)
    if (!begun) return { kind: 'begin', from, step: '1' as Exact, to: valueOf(problem.first), times: null }
    const rest = owing(s)
    if (sign(rest) === 0) return isRead(s) ? null : { kind: 'read', value: s.value }
    if (sign(rest) < 0) return whole('take', negate(rest))
    const position = add(begun.from, s.value)
    const near = friendlyNear(position, 'up')
    const toTen = near && subtract(near, position)
    if (toTen && compare(toTen, rest) <= 0 && compare(toTen, unitOf(1)) < 0) return whole('join', toTen)
    return hop({ ...s, doing: '+' }, choices)
  },
}

/* --- friendly numbers --- */

/** One step whose way over friendly numbers stays among the numbers that can be named. */
const oneTerm = (p: Problem, way: 'make-friendly' | 'over-and-back'): boolean =>
  isChain(p) &&
  p.terms.length === 1 &&
  !hasBelow(p) &&
  compare(reach(way, p), exact(10 ** (MAX_DIGITS - decimalsIn(p)))) < 0
const second = (p: Problem): Exact => valueOf(p.terms[0]!.number)
const size = (n: Exact): Exact => (sign(n) < 0 ? negate(n) : n)

/** How far the first number is from its friendly neighbour, where the second can give as much. */
function giving(problem: Problem): Exact | undefined {
  const first = valueOf(problem.first)
  const near = friendlyNear(first)
  if (!near) return undefined
  const by = subtract(near, first)
  const fromSecond = problem.terms[0]!.operation === '+' ? sign(by) > 0 : sign(by) < 0
  return fromSecond && compare(size(by), second(problem)) > 0 ? undefined : by
}

export const makeFriendly: Way = {
  id: 'make-friendly',
  title: 'make a friendly number',
  school: 'The first number is brought to a whole ten with what the second gives or gets; then the rest.',
  at: 'The friendly page, the split diagram and the line; best when an addend is within 2 of a ten.',
  sort: 'whole',
  suits: (p) => oneTerm(p, 'make-friendly') && sign(second(p)) > 0 && giving(p) !== undefined,
  arrange: (problem) => {
    const [term] = problem.terms
    if (term!.operation !== '+') return problem
    const turned: Problem = { first: term!.number, terms: [{ operation: '+', number: problem.first }] }
    const [here, there] = [giving(problem), sign(valueOf(problem.first)) > 0 ? giving(turned) : undefined]
    return here && there && compare(size(there), size(here)) < 0 ? turned : problem
  },
  next: (problem, s) =>
    frame(problem, s, () => {
      if (s.begun < 2 || termDone(s) || s.value !== valueOf(problem.first) || owing(s) !== second(problem)) return null
      const by = giving(problem)!
      const plus = problem.terms[0]!.operation === '+'
      const rest = subtract(second(problem), size(by))
      const parts = sign(by) > 0 === plus && sign(rest) > 0
      if (parts && s.parted < s.begun) return { kind: 'split', whole: second(problem), parts: [size(by), rest] }
      return whole(sign(by) > 0 ? 'join' : 'take', size(by))
    }),
}

export const overAndBack: Way = {
  id: 'over-and-back',
  title: 'a friendly number, then put right',
  school: 'The second number is worked as the nearest whole ten; what was too much or too little is put right.',
  at: 'The friendly page and the line; for taking away too.',
  sort: 'whole',
  suits: (p) => {
    if (!oneTerm(p, 'over-and-back')) return false
    const near = friendlyNear(second(p))
    if (!near || sign(near) === 0) return false
    return p.terms[0]!.operation === '+' || compare(near, valueOf(p.first)) <= 0
  },
  next: (problem, s) =>
    frame(problem, s, () => {
      if (s.begun < 2 || termDone(s) || s.value !== valueOf(problem.first) || owing(s) !== second(problem)) return null
      return whole(problem.terms[0]!.operation === '+' ? 'join' : 'take', friendlyNear(second(problem))!)
    }),
}
