import type { Act, RewriteAct, Sum } from '../act/act'
import { isRead, owing, type Standing } from '../act/standing'
import { wholly } from '../act/unfold'
import { compare, exact, multiply, sign, subtract, type Exact } from '../number/exact'
import { piecesFor } from '../number/units'
import { takenNineTimes } from '../problem/nines'
import { answer, type Problem } from '../problem/problem'
import type { Way } from './way'

/** Nine times a number in the head and in writing (practice, section 13; common practice, no source). */

const [ONE, NINE, TEN] = [exact(1), exact(9), exact(10)]
const minus = (a: Exact, b: Exact): Sum => [
  { operation: '+', number: a },
  { operation: '-', number: b },
]
const only = (number: Exact): Sum => [{ operation: '+', number }]

/** The two steps of one less: the tens are one less than the number, and the ones are what those tens lack to nine. */
const oneLessSteps = (n: Exact): readonly RewriteAct[] => {
  const tens = subtract(n, ONE)
  return [
    { kind: 'rewrite', left: minus(n, ONE), right: only(tens), rule: 'one-less' },
    { kind: 'rewrite', left: minus(NINE, tens), right: only(subtract(NINE, tens)), rule: 'to-nine' },
  ]
}

/** So many of a number at once, in its digits. */
const times = (count: Exact, size: Exact, s: Standing): Act => ({
  kind: 'group',
  count,
  size,
  pieces: piecesFor(size, s.units) ?? [],
})

/** What was begun otherwise is finished in one, and what stands there is read. */
function finish(problem: Problem, s: Standing): Act | null {
  const rest = s.aim.kind === 'groups' ? owing(s) : subtract(answer(problem), s.value)
  if (sign(rest) !== 0) return wholly({ kind: 'join', amount: rest })
  return isRead(s) ? null : { kind: 'read', value: s.value }
}

export const oneLess: Way = {
  id: 'one-less',
  title: 'one less, and what it lacks to nine',
  school: 'The tens are one less than the number; the ones are what the tens lack to nine.',
  at: 'Nine times 1 to 9, in writing, beside the nines hands.',
  sort: 'nine-tricks',
  aim: 'groups',
  suits: (p) => {
    const n = takenNineTimes(p)
    return n !== undefined && compare(n, NINE) <= 0
  },
  next: (problem, s) => {
    const n = takenNineTimes(problem)!
    if (sign(s.value) !== 0) return finish(problem, s)
    const step = oneLessSteps(n).find(({ rule }) => !s.rewritten.includes(rule))
    return step ?? times(n, NINE, s)
  },
}

export const tenLess: Way = {
  id: 'ten-less',
  title: 'ten times, less the number',
  school: 'Ten times the number is easy; nine times is the number less.',
  at: 'Nine times any number, in writing.',
  sort: 'nine-tricks',
  aim: 'groups',
  suits: (p) => takenNineTimes(p) !== undefined,
  next: (problem, s) => {
    const n = takenNineTimes(problem)!
    if (sign(s.value) === 0) return times(TEN, n, s)
    if (s.value === multiply(TEN, n)) return { kind: 'take', amount: n }
    return finish(problem, s)
  },
}
