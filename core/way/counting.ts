import { amountAct, stepWorth, wordAt, type Act, type BeginAct } from '../act/act'
import { isRead, owing, stepsOf, termDone, type Standing } from '../act/standing'
import {
  add,
  compare,
  divide,
  exact,
  isWhole,
  negate,
  sign,
  subtract,
  toCount,
  ZERO,
  type Exact,
} from '../number/exact'
import { valueOf } from '../number/numeral'
import { countsAt } from '../number/places'
import { isChain, type Operation, type Problem } from '../problem/problem'
import type { Way } from './way'

/** How the first number is begun, and how a further one is worked in. */
interface Manner {
  readonly hold: boolean
}

const ones = (kind: 'lay' | 'join' | 'take', count: number): Act =>
  count === 0 ? { kind, amount: ZERO, pieces: [] } : amountAct(kind, countsAt(0, count))

function next(problem: Problem, s: Standing, { hold }: Manner): Act | null {
  if (!s.laid) return hold ? { kind: 'lay', amount: owing(s), inHead: true } : ones('lay', toCount(owing(s)))
  if (compare(s.unposed, ZERO) > 0) return { kind: 'pose', operation: s.doing === '-' ? '-' : '+', amount: s.unposed }
  if (!termDone(s)) {
    const rest = owing(s)
    // Too many is undone the other way; too few goes on as the number says.
    const forward = s.doing === '-' ? sign(rest) < 0 : sign(rest) > 0
    const size = toCount(sign(rest) < 0 ? negate(rest) : rest)
    if (!hold || s.doing === 'lay') return ones(forward ? 'join' : 'take', size)
    const by = exact(forward ? 1 : -1)
    return { kind: 'count', by, word: add(s.value, by) }
  }
  const term = problem.terms[s.begun - 1]
  if (term && (term.operation === '+' || term.operation === '-'))
    return { kind: 'pose', operation: term.operation, amount: valueOf(term.number) }
  return isRead(s) ? null : { kind: 'read', value: s.value, ...(hold ? {} : { counted: true }) }
}

/** Steps counted from a number until nothing is owed; too many are counted back. */
function inSteps(s: Standing, begin: BeginAct): Act | null {
  const begun = stepsOf(s)
  if (!begun) return begin
  const rest = sign(owing(s))
  if (rest === 0) return isRead(s) ? null : { kind: 'read', value: s.value }
  const one = stepWorth(begun)
  if (rest > 0) return { kind: 'count', by: one, word: wordAt(begun, s.value) }
  return { kind: 'count', by: negate(one), word: wordAt(begun, subtract(s.value, add(one, one))) }
}

const only = (p: Problem, operation: Operation): Exact | undefined =>
  p.terms.length === 1 && p.terms[0]!.operation === operation ? valueOf(p.terms[0]!.number) : undefined

const oneSum = (p: Problem): boolean => p.terms.length === 1 && p.terms[0]!.operation === '+'
const adds = (p: Problem): boolean => p.terms.length > 0 && p.terms.every((t) => t.operation === '+')
/** One number, to be counted out. */
const alone = (p: Problem): boolean =>
  isChain(p) && p.terms.length === 0 && !p.named && !p.others && !p.pairs && !p.groups && !p.without
const takes = (p: Problem): boolean => isChain(p) && p.terms.some((t) => t.operation === '-')

/** Practice sections 2 to 5; common practice, no source. */
export const countAll: Way = {
  id: 'count-all',
  title: 'count all',
  school: 'Each number is counted out; all are put together and counted from one.',
  at: 'Counters and tallies show both numbers at once; fingers do up to ten, and then remember a ten.',
  sort: 'counting',
  suits: (p) => adds(p) || alone(p),
  next: (problem, s) => next(problem, s, { hold: false }),
}

export const countOn: Way = {
  id: 'count-on',
  title: 'count on',
  school: 'The first number stays in the head; only the second is counted, on from it.',
  at: 'Fingers, joint marks and notches keep count of the second number only.',
  sort: 'counting',
  suits: adds,
  next: (problem, s) => next(problem, s, { hold: true }),
}

export const countOnFromGreater: Way = {
  id: 'count-on-from-greater',
  title: 'count on from the greater',
  school: 'The greater number stays in the head, whichever comes first.',
  at: 'The fewest fingers and touches: the smaller number is the one that is counted.',
  sort: 'counting',
  suits: oneSum,
  arrange: (problem) => {
    const [term] = problem.terms
    if (!term || compare(valueOf(term.number), valueOf(problem.first)) <= 0) return problem
    return { first: term.number, terms: [{ operation: '+', number: problem.first }] }
  },
  next: (problem, s) => next(problem, s, { hold: true }),
}

export const takeAway: Way = {
  id: 'take-away',
  title: 'take away',
  school: 'The first number is counted out, the second taken from it, and what is left is counted.',
  at: 'Counters go back to the bowl and tallies are crossed out, so what is left is seen.',
  sort: 'counting',
  suits: takes,
  next: (problem, s) => next(problem, s, { hold: false }),
}

export const countBack: Way = {
  id: 'count-back',
  title: 'count back',
  school: 'The first number stays in the head and is not said again; each word is one fewer.',
  at: 'Fingers and notches keep count of what is taken; it needs sure counting backwards.',
  sort: 'counting',
  // Counting goes one way at a time.
  suits: (p) => takes(p) && p.terms.every((t) => t.operation === '-'),
  next: (problem, s) => next(problem, s, { hold: true }),
}

/** A difference as a way to go: from the smaller number up to the greater, and how many steps that was. */
export const countUp: Way = {
  id: 'count-up',
  title: 'count up',
  school: 'From the number taken away up to the first; how many steps that was is the answer.',
  at: 'Fingers and joint marks keep count of the steps while the words go on.',
  sort: 'counting',
  aim: 'steps',
  suits: (p) => only(p, '-') !== undefined,
  next: (problem, s) =>
    inSteps(s, {
      kind: 'begin',
      from: only(problem, '-')!,
      step: exact(1),
      to: valueOf(problem.first),
      times: null,
    }),
}

/** Each number said raises one finger: what was said last is the product, how many are up the groups (practice, section 2). */
export const skipCount: Way = {
  id: 'skip-count',
  title: 'count in steps',
  school: 'In fours, in fives: one finger for each step. The last word is the product; the fingers are the groups.',
  at: 'Fingers keep count of the steps; on touch numerals the notches of one factor do.',
  sort: 'counting',
  aim: 'steps',
  suits: (p) => {
    const divisor = only(p, '/')
    if (divisor !== undefined) return isWhole(divide(valueOf(p.first), divisor))
    return only(p, '*') !== undefined
  },
  next: (problem, s) => {
    const [first, divisor, factor] = [valueOf(problem.first), only(problem, '/'), only(problem, '*')]
    return inSteps(
      s,
      divisor === undefined
        ? { kind: 'begin', from: ZERO, step: factor!, to: null, times: first }
        : { kind: 'begin', from: ZERO, step: divisor, to: first, times: null },
    )
  },
}
