import { isRead, owing, termDone, type Standing } from '../act/standing'
import type { Act } from '../act/act'
import type { Choices } from '../choices'
import { compare, sign, sizeOf, ZERO, type Exact } from '../number/exact'
import { valueOf } from '../number/numeral'
import { piecesFor, worthOf } from '../number/units'
import { isChain, type Problem } from '../problem/problem'
import type { Way } from './way'

/**
 * Working on rods (practice, section 9; common practice, no source): a number is set, added or taken away digit by digit. By
 * which rule a digit goes, the beads decide; the way only says which digit comes next, and whether it goes at once or bead by
 * bead.
 */
function next(problem: Problem, s: Standing, choices: Choices, atOnce: boolean): Act | null {
  if (compare(s.unposed, ZERO) > 0) return { kind: 'pose', operation: s.doing === '-' ? '-' : '+', amount: s.unposed }
  if (!s.laid) return { kind: 'lay', amount: valueOf(problem.first) }
  if (!termDone(s)) {
    const rest = owing(s)
    const joins = sign(rest) > 0 === (s.doing !== '-')
    return { kind: joins ? 'join' : 'take', amount: digitOf(sizeOf(rest), s, choices, atOnce) }
  }
  const term = problem.terms[s.begun - 1]
  if (term && (term.operation === '+' || term.operation === '-'))
    return { kind: 'pose', operation: term.operation, amount: valueOf(term.number) }
  return isRead(s) ? null : { kind: 'read', value: s.value }
}

/** The digit that comes next, or one bead of it. */
function digitOf(size: Exact, { units }: Standing, { abacus }: Choices, atOnce: boolean): Exact {
  const digits = piecesFor(size, units) ?? []
  const digit = digits.at(abacus.order === 'highest' ? 0 : -1)
  if (!digit) throw new Error(`no rods for ${size}`)
  return atOnce ? worthOf([digit]) : digit.unit
}

export const compensate: Way = {
  id: 'compensate',
  title: 'by complements',
  school: 'Each digit at once. Where the beads are not there, more is added than wanted and the rest given back.',
  at: 'The abacus and its kin; on a bead frame too, where only tens are over-added.',
  sort: 'beads',
  suits: isChain,
  next: (problem, s, choices) => next(problem, s, choices, true),
}

export const countBeads: Way = {
  id: 'count-beads',
  title: 'bead by bead',
  school:
    'Beads are counted one at a time; when a rod is full it is exchanged. For learners not yet ready for complements.',
  at: 'The bead frame above all; every abacus.',
  sort: 'beads',
  suits: isChain,
  next: (problem, s, choices) => next(problem, s, choices, false),
}
