import { amountAct, type Act } from '../act/act'
import { owing, termDone, type Standing } from '../act/standing'
import { add, compare, exact, negate, sign, toCount, ZERO } from '../number/exact'
import { valueOf } from '../number/numeral'
import { countsAt } from '../number/places'
import type { Problem } from '../problem/problem'
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
  if (term) return { kind: 'pose', operation: term.operation, amount: valueOf(term.number) }
  return s.read === s.value ? null : { kind: 'read', value: s.value, ...(hold ? {} : { counted: true }) }
}

const oneSum = (p: Problem): boolean => p.terms.length === 1 && p.terms[0]!.operation === '+'
const adds = (p: Problem): boolean => p.terms.length > 0 && p.terms.every((t) => t.operation === '+')
const takes = (p: Problem): boolean => p.terms.some((t) => t.operation === '-')

/** Practice sections 2 to 5; common practice, no source. */
export const countAll: Way = {
  id: 'count-all',
  title: 'count all',
  school: 'Both numbers are counted out, put together, and counted from one.',
  works: 'counting',
  suits: adds,
  next: (problem, s) => next(problem, s, { hold: false }),
}

export const countOn: Way = {
  id: 'count-on',
  title: 'count on',
  school: 'The first number stays in the head; only the second is counted, on from it.',
  works: 'counting',
  suits: adds,
  next: (problem, s) => next(problem, s, { hold: true }),
}

export const countOnFromGreater: Way = {
  id: 'count-on-from-greater',
  title: 'count on from the greater',
  school: 'The greater number stays in the head, whichever comes first.',
  works: 'counting',
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
  works: 'counting',
  suits: takes,
  next: (problem, s) => next(problem, s, { hold: false }),
}

export const countBack: Way = {
  id: 'count-back',
  title: 'count back',
  school: 'The first number stays in the head and is not said again; each word is one fewer.',
  works: 'counting',
  suits: takes,
  next: (problem, s) => next(problem, s, { hold: true }),
}
