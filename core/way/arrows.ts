import { piecesAct, type Act } from '../act/act'
import { owing, termDone, type Standing } from '../act/standing'
import { add, compare, exact, negate, sign, sizeOf, ZERO, type Exact } from '../number/exact'
import { valueOf } from '../number/numeral'
import { piecesFor, worthOf } from '../number/units'
import { isChain, type Problem, type Term } from '../problem/problem'
import { inTurn } from './inTurn'
import type { Way } from './way'

/** Numbers of either sign as arrows on a line (practice, sections 10 and 11; common practice, no source). */

/** One number after another, the first one whole; `work` is what is done with the number in hand. */
export const oneByOne = (problem: Problem, s: Standing, work: (term: Term) => Act | null): Act | null =>
  inTurn(
    problem,
    s,
    () => (s.units.fractions ? piecesAct('lay', s.left) : { kind: 'lay', amount: valueOf(problem.first) }),
    () => {
      const term = problem.terms[s.begun - 2]
      return term && !termDone(s) ? work(term) : null
    },
  )

/** What a term adds, whichever way it is asked: taking away four below nought adds four. */
export const added = ({ operation, number }: Term): Exact =>
  operation === '-' ? negate(valueOf(number)) : valueOf(number)

const untouched = (problem: Problem, s: Standing, term: Term): boolean =>
  s.value === valueOf(problem.first) && owing(s) === valueOf(term.number)

export const arrows: Way = {
  id: 'arrows',
  title: 'arrows end to start',
  school: 'One arrow for each number; each starts where the one before it ends.',
  at: 'The number line and the open line, above and below nought.',
  sort: 'arrows',
  suits: (p) => isChain(p) && p.terms.length > 0,
  next: (problem, s) => oneByOne(problem, s, () => null),
}

/** −7.5 + 3.5 as −4 − 3.5 + 3.5: the longer is parted, so that the opposites make nought. */
export const combineOpposites: Way = {
  id: 'combine-opposites',
  title: 'opposites make nought',
  school: 'The longer number is parted into the opposite of the shorter and a rest; the opposites make nought.',
  at: 'The number line, for one plus and one minus.',
  sort: 'arrows',
  suits: (p) => {
    const [term, more] = p.terms
    if (!isChain(p) || !term || more) return false
    const [a, b] = [valueOf(p.first), added(term)]
    return sign(a) * sign(b) < 0 && compare(sizeOf(a), sizeOf(b)) !== 0
  },
  next: (problem, s) =>
    oneByOne(problem, s, (term) => {
      const [a, b] = [valueOf(problem.first), added(term)]
      const firstLonger = compare(sizeOf(a), sizeOf(b)) > 0
      if (!untouched(problem, s, term)) return null
      if (s.parted < s.begun)
        return firstLonger
          ? { kind: 'split', whole: a, parts: [add(a, b), negate(b)] }
          : { kind: 'split', whole: b, parts: [negate(a), add(a, b)] }
      // What the opposite takes up, as the sign that is asked has it.
      const opposite = firstLonger ? b : negate(a)
      return term.operation === '-' ? { kind: 'take', amount: negate(opposite) } : { kind: 'join', amount: opposite }
    }),
}

/** What a number is worth place by place, with its own sign. */
function places(value: Exact, s: Standing): readonly Exact[] {
  const parts = (piecesFor(sizeOf(value), s.units) ?? []).map((p) => worthOf([p]))
  return sign(value) < 0 ? parts.map(negate) : parts
}

/** 9.2 − 3.75: wholes, tenths and hundredths apart, the wholes in one arrow. */
export const decompose: Way = {
  id: 'decompose',
  title: 'wholes, tenths, hundredths',
  school: 'The second number is parted into its wholes and each place after the point; one arrow for each.',
  at: 'The number line, for decimals.',
  sort: 'arrows',
  suits: (p) =>
    isChain(p) &&
    p.terms.length === 1 &&
    p.terms.every(({ number }) => number.form === 'places' && number.decimals > 0 && sizeOf(valueOf(number)) !== ZERO),
  next: (problem, s) =>
    oneByOne(problem, s, (term) => {
      const left = owing(s)
      const parts = byPlace(left, s)
      if (sign(left) !== sign(valueOf(term.number)) || parts.length === 0) return null
      if (s.parted < s.begun && parts.length > 1) return { kind: 'split', whole: left, parts }
      return { kind: term.operation === '-' ? 'take' : 'join', amount: parts[0]! }
    }),
}

/** The wholes in one, and each place after the point. */
function byPlace(value: Exact, s: Standing): readonly Exact[] {
  const all = places(value, s)
  const isWhole = (n: Exact): boolean => compare(sizeOf(n), exact(1)) >= 0
  const wholes = all.filter(isWhole).reduce(add, ZERO)
  return [...(wholes === ZERO ? [] : [wholes]), ...all.filter((n) => !isWhole(n))]
}
