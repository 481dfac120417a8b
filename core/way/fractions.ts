import { piecesAct, type Act } from '../act/act'
import { isRead, owing, termDone, type Standing } from '../act/standing'
import { wholly } from '../act/unfold'
import { compare, sign, subtract, ZERO } from '../number/exact'
import { valueOf } from '../number/numeral'
import { countOf, has, piecesOfNumeral, type Pieces } from '../number/units'
import { writtenIn } from '../problem/fitParts'
import { answer, asksMore, hasParts, isChain, numbersIn, writesFractions, type Problem } from '../problem/problem'
import { chain } from './chain'
import { comparing } from './comparing'
import { renaming } from './naming'
import { onesFirst } from './places'
import { ONE } from './recut'
import type { Way } from './way'

/** The ways of working with parts of a whole (practice, section 11; common practice, no source). */

function repeating(problem: Problem, s: Standing): Act | null {
  const { number } = problem.terms[0]!
  const size = valueOf(number)
  const pieces = piecesOfNumeral(number, size, s.units)
  const rest = s.aim.kind === 'groups' ? owing(s) : subtract(answer(problem), s.value)
  if (sign(rest) === 0 && (s.laid || size !== ZERO)) return isRead(s) ? null : { kind: 'read', value: s.value }
  if (sign(size) !== 0 && compare(rest, size) >= 0)
    return { kind: 'group', count: ONE, size, ...(pieces && has(s.units, pieces) ? { pieces } : {}) }
  return sign(rest) === 0 ? { kind: 'read', value: s.value } : wholly({ kind: 'join', amount: rest })
}

const bottomsIn = (problem: Problem): readonly bigint[] => numbersIn(problem).map(writtenIn)
const partBottoms = (problem: Problem): ReadonlySet<bigint> => new Set(bottomsIn(problem).filter((n) => n > 1n))
const isFractionChain = (p: Problem): boolean => isChain(p) && writesFractions(p)
const hasMixed = (p: Problem): boolean =>
  numbersIn(p).some((n) => (n.form === 'fraction' ? n.whole !== '' : valueOf(n) !== ZERO))
const isProduct = (p: Problem): boolean => p.terms.length === 1 && p.terms[0]!.operation === '*' && !asksMore(p)

export const sameParts: Way = {
  id: 'same-parts',
  title: 'same parts',
  school: 'The parts keep their size: count them.',
  at: 'Strips and the vessel, where all parts are of one size.',
  sort: 'fractions',
  suits: (p) => isFractionChain(p) && partBottoms(p).size < 2,
  next: (problem, s, choices) => chain(problem, s, choices, { common: false, apart: false }),
}

export const commonParts: Way = {
  id: 'common-parts',
  title: 'common parts',
  school: 'Both are cut into parts of one size, which changes neither; then they are counted or compared.',
  at: 'Strips and the vessel, where the parts are of different sizes.',
  sort: 'fractions',
  suits: (p) => (isFractionChain(p) || (p.others !== undefined && writesFractions(p))) && partBottoms(p).size > 1,
  next: (problem, s, choices) =>
    problem.others ? comparing(problem, s, choices, true) : chain(problem, s, choices, { common: true, apart: false }),
}

export const wholesApart: Way = {
  id: 'wholes-apart',
  title: 'wholes and parts apart',
  school: 'Wholes with wholes, parts with parts; then a whole is made of the parts, or one is broken for them.',
  at: 'Strips, for mixed numbers.',
  sort: 'fractions',
  suits: (p) => isFractionChain(p) && hasMixed(p),
  next: (problem, s, choices) => chain(problem, s, choices, { common: true, apart: true }),
}

export const byPlaces: Way = {
  id: 'by-places',
  title: 'wholes first, then tenths',
  school: 'The greatest place first: wholes with wholes, tenths with tenths, hundredths with hundredths.',
  at: 'Strips and chips, for decimals: points under points, and empty places filled.',
  sort: 'places',
  fillsPlaces: true,
  suits: (p) => isChain(p) && hasParts(p) && !writesFractions(p),
  next: (problem, s, choices) =>
    s.laid && !termDone(s) && s.begun > 1
      ? (fromTheTop(s) ?? onesFirst.next(problem, s, choices))
      : onesFirst.next(problem, s, choices),
}

/** The greatest place of what is left, where it can simply be put in or taken; wholes of every place in one. */
function fromTheTop(s: Standing): Act | null {
  if (s.left.some((p) => p.count < 0)) return null
  const isWhole = (p: Pieces): boolean => !p.unit.includes('/')
  const wholes = s.left.filter(isWhole)
  const part = wholes.length > 0 ? wholes : s.left.slice(0, 1)
  if (part.length === 0) return null
  const there = part.every((p) => countOf(s.held, p.unit) >= p.count)
  return s.doing === '+' || there ? piecesAct(s.doing === '-' ? 'take' : 'join', part) : null
}

export const repeatedParts: Way = {
  id: 'repeated-parts',
  title: 'a part repeated',
  school: 'The part is laid so many times, end to end.',
  at: 'Strips, the vessel and the line, for 3 × 2/5.',
  sort: 'fractions',
  aim: 'groups',
  suits: (p) => isProduct(p) && hasParts(p),
  next: repeating,
}

export const edgeToEdge: Way = {
  id: 'edge-to-edge',
  title: 'edge to edge',
  school: 'What is to be compared lies side by side from one edge: what reaches farther is more.',
  at: 'Strips, containers side by side, and points on the line.',
  sort: 'fractions',
  suits: (p) => p.others !== undefined,
  next: (problem, s, choices) => comparing(problem, s, choices, false),
}

export const otherNames: Way = {
  id: 'other-names',
  title: 'cut anew',
  school: 'The parts are cut into others; the length stays, and has another name.',
  at: 'Strips and the vessel, for fractions of one value, simplest form and decimals.',
  sort: 'fractions',
  suits: (p) => p.named !== undefined,
  next: renaming,
}

/** The same work in writing: tops and bottoms are multiplied alike, then the tops are added. */
export const numberRule: Way = {
  id: 'number-rule',
  title: 'rule for fractions',
  school: 'Top and bottom are multiplied by the same number; then the tops are added, and the bottom stays.',
  at: 'Writing, once strips have shown why.',
  sort: 'number-rule',
  suits: isFractionChain,
  next: (problem, s, choices) => chain(problem, s, choices, { common: true, apart: hasMixed(problem) }),
}
