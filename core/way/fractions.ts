import { holds, piecesAct, type Act, type BesideAct, type CompareAct, type ExchangeAct } from '../act/act'
import { isRead, owing, termDone, type Standing } from '../act/standing'
import { wholly } from '../act/unfold'
import type { Choices } from '../choices'
import { compare, exact, multiply, negate, sign, subtract, toCount, ZERO } from '../number/exact'
import { denominatorOf, lcm, partUnit, relationOf } from '../number/fractions'
import { printExact, printNumeral, valueOf } from '../number/numeral'
import { fractionText, numberText } from '../number/text'
import {
  addPieces,
  countOf,
  has,
  opposite,
  piecesFor,
  piecesOfNumeral,
  samePieces,
  tensIn,
  worthOf,
  type Pieces,
} from '../number/units'
import { writtenIn } from '../problem/fitParts'
import {
  answer,
  asksMore,
  hasParts,
  isChain,
  numbersIn,
  totals,
  writesFractions,
  type Amount,
  type Naming,
  type Problem,
} from '../problem/problem'
import { inTurn } from './inTurn'
import { onesFirst } from './places'
import type { Way } from './way'

/** Adding and taking away equal parts of a whole (practice, section 11; common practice, no source). */

const ONE = exact(1)
const isPart = (p: Pieces): boolean => p.unit !== ONE
const partsIn = (pieces: readonly Pieces[]): readonly Pieces[] => pieces.filter(isPart)
const wholesIn = (pieces: readonly Pieces[]): readonly Pieces[] => pieces.filter((p) => !isPart(p))

/** Parts of whatever kinds as parts of one; undefined where the material has no such parts. */
function inKind(pieces: readonly Pieces[], bottom: bigint, s: Standing): readonly Pieces[] | undefined {
  const unit = partUnit(bottom)
  const count = multiply(worthOf(pieces), exact(bottom))
  return s.units.worths.includes(unit) && !count.includes('/') ? [{ count: toCount(count), unit }] : undefined
}

/** The denominator in which some parts are counted together: the least common one, or the product where a class takes that. */
function commonOf(kinds: readonly Pieces[], s: Standing, { parts }: Choices): bigint {
  const bottoms = [...new Set(kinds.map((p) => denominatorOf(p.unit)))]
  const product = bottoms.reduce((all, n) => all * n, 1n)
  const takes = parts.common === 'product' && s.units.worths.includes(partUnit(product))
  return takes ? product : lcm(bottoms)
}

/** What is to be cut anew so that some pieces are of one kind; null where they are. */
function recut(pieces: readonly Pieces[], bottom: bigint, s: Standing, aside?: number): ExchangeAct | null {
  const [from, to] = [partsIn(pieces), inKind(partsIn(pieces), bottom, s)]
  if (from.length === 0 || !to || samePieces(from, to)) return null
  return { kind: 'exchange', from, to, ...(aside === undefined ? {} : { aside }) }
}

/** Several rows cut into common parts, one after another: the first that is not yet. */
function recutAll(
  rows: readonly (readonly Pieces[])[],
  s: Standing,
  choices: Choices,
  asideOf: (i: number) => number | undefined,
): ExchangeAct | null {
  const kinds = rows.flatMap(partsIn)
  if (new Set(kinds.map((p) => p.unit)).size < 2) return null
  const bottom = commonOf(kinds, s, choices)
  for (const [i, row] of rows.entries()) {
    const act = recut(row, bottom, s, asideOf(i))
    if (act) return act
  }
  return null
}

interface Style {
  /** Whether different parts are cut into common ones first. */
  readonly common: boolean
  /** Whether wholes and parts are worked apart, and a whole is made of the parts in the end. */
  readonly apart: boolean
}

/** So many wholes broken into the parts that lie there, or made of them. */
const breaking = (count: number, bottom: bigint): ExchangeAct => ({
  kind: 'exchange',
  from: [{ count, unit: ONE }],
  to: [{ count: count * Number(bottom), unit: partUnit(bottom) }],
})
const making = (count: number, bottom: bigint): ExchangeAct => {
  const { from, to } = breaking(count, bottom)
  return { kind: 'exchange', from: to, to: from }
}

/** Full wholes that lie there in parts of one kind, made whole. */
function wholeOfParts(held: readonly Pieces[], s: Standing): ExchangeAct | null {
  for (const { count, unit } of partsIn(held)) {
    const bottom = denominatorOf(unit)
    const full = Math.floor(count / Number(bottom))
    if (full > 0 && s.units.worths.includes(ONE)) return making(full, bottom)
  }
  return null
}

/** Taking away: the wholes, then the parts; where there are too few parts, one whole is broken, and where too few wholes, one is made. */
function taking(s: Standing, left: readonly Pieces[], { apart }: Style): Act | null {
  const [wholes, parts] = [wholesIn(left), partsIn(left)]
  const missing = (pieces: readonly Pieces[]): Pieces | undefined =>
    pieces.find((p) => countOf(s.held, p.unit) < p.count)
  if (wholes.length > 0 && missing(wholes)) return wholeOfParts(s.held, s)
  if (apart && wholes.length > 0) return piecesAct('take', wholes)
  const short = missing(parts)
  if (!short) return piecesAct('take', left)
  const bottom = denominatorOf(short.unit)
  const wanted = Math.ceil((short.count - countOf(s.held, short.unit)) / Number(bottom))
  const free = countOf(s.held, ONE) - countOf(left, ONE)
  return free >= wanted ? breaking(wanted, bottom) : null
}

/** What comes next with the number in hand, in its pieces; null where it is no longer what was asked, and is worked whole. */
function work(s: Standing, choices: Choices, style: Style): Act | null {
  const left = s.left
  if (sign(owing(s)) <= 0 || left.some((p) => p.count < 0) || !has(s.units, [...left, ...s.held])) return null
  if (style.common) {
    const act = recutAll([s.held, left], s, choices, (i) => (i === 0 ? undefined : 0))
    if (act) return act
  }
  if (s.doing === '-') return taking(s, left, style)
  const wholes = wholesIn(left)
  return piecesAct('join', style.apart && wholes.length > 0 ? wholes : left)
}

function chain(problem: Problem, s: Standing, choices: Choices, style: Style): Act | null {
  return inTurn(
    problem,
    s,
    () => piecesAct('lay', s.left),
    () => {
      if (!termDone(s)) return s.begun > 1 ? work(s, choices, style) : null
      return style.apart && s.begun > 1 ? wholeOfParts(s.held, s) : null
    },
  )
}

/* --- amounts held against one another --- */

const piecesOf = (amount: Amount, i: number, s: Standing): readonly Pieces[] => {
  const number = i === 0 ? amount.first : amount.terms[i - 1]!.number
  return piecesOfNumeral(number, valueOf(number), s.units) ?? []
}

/** What of an amount comes next in its row; null where all of it lies there. */
function besideNext(amount: Amount, row: number, s: Standing, choices: Choices): BesideAct | ExchangeAct | null {
  const lies = s.others[row - 1] ?? []
  const there = worthOf(lies)
  if (there === answer(amount)) return null
  const reached = totals(amount)
  const at = lies.length === 0 ? -1 : reached.indexOf(there)
  if (at < 0 && lies.length > 0) {
    // Something else lies there: what is too much or too little, worked whole.
    const off = subtract(answer(amount), there)
    return { kind: 'beside', amount: off, row }
  }
  const pieces = piecesOf(amount, at + 1, s)
  if (at < 0 || amount.terms[at]!.operation === '+') return { kind: 'beside', amount: worthOf(pieces), pieces, row }
  const lacks = pieces.some((p) => countOf(lies, p.unit) < p.count)
  if (!lacks) return { kind: 'beside', amount: negate(worthOf(pieces)), pieces: opposite(pieces), row }
  const bottom = commonOf(partsIn([...lies, ...pieces]), s, choices)
  const all = inKind(lies, bottom, s)
  if (!all || samePieces(all, lies)) {
    const gone = inKind(pieces, bottom, s)
    if (gone && all) return { kind: 'beside', amount: negate(worthOf(gone)), pieces: opposite(gone), row }
    return { kind: 'beside', amount: negate(worthOf(pieces)), row }
  }
  return { kind: 'exchange', from: lies, to: all, aside: row }
}

/** How the amounts stand to each other: two as they were asked, more of them from the least up. */
function comparison(rows: readonly (readonly Pieces[])[], s: Standing): CompareAct {
  const named = rows.map((pieces) => ({ value: worthOf(pieces), text: numberText(worthOf(pieces), s.units, pieces) }))
  if (named.length > 2) named.sort((a, b) => compare(a.value, b.value))
  return {
    kind: 'compare',
    numbers: named.map((n) => n.text),
    relations: named.slice(1).map((n, i) => relationOf(named[i]!.value, n.value)),
  }
}

function comparing(problem: Problem, s: Standing, choices: Choices, common: boolean): Act | null {
  const { others = [], ...own } = problem
  const first = chain(own, s, choices, { common: true, apart: false })
  if (first && first.kind !== 'read') return first
  for (const [i, amount] of others.entries()) {
    const act = besideNext(amount, i + 1, s, choices)
    if (act) return act
  }
  const rows = [s.held, ...s.others.slice(0, others.length)]
  const cut = common ? recutAll(rows, s, choices, (i) => (i === 0 ? undefined : i)) : null
  if (cut) return cut
  return s.compared && holds(s.compared) ? null : comparison(rows, s)
}

/* --- one number written another way --- */

/** The parts that have a number's length, from the largest, as they lie in the store. */
const NAMES = [2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 16, 20, 100]

/** In which pieces a number is to lie, and how it is written then. */
function wanted(
  named: Naming,
  problem: Problem,
  s: Standing,
): { readonly pieces: readonly Pieces[]; readonly as: string } | null {
  const value = valueOf(problem.first)
  const inParts = (bottom: bigint): { pieces: readonly Pieces[]; as: string } => {
    const pieces = inKind([{ count: 1, unit: value }], bottom, s) ?? s.held
    return { pieces, as: fractionText(value, pieces) }
  }
  switch (named.kind) {
    case 'parts':
      return inParts(BigInt(named.of))
    case 'simplest': {
      const whole = problem.first.form === 'fraction' && problem.first.whole !== ''
      const pieces = whole ? (piecesFor(value, s.units) ?? s.held) : inParts(denominatorOf(value)).pieces
      return { pieces, as: fractionText(value, pieces) }
    }
    case 'decimal':
      return { pieces: piecesFor(value, tensIn(s.units)) ?? s.held, as: printExact(value) }
    case 'fraction':
      return inParts(writtenIn(problem.first))
    case 'others': {
      const own = denominatorOf(partsIn(s.held)[0]?.unit ?? ONE)
      const first = writtenIn(problem.first)
      const fits = NAMES.map(BigInt).filter((n) => n !== first && inKind([{ count: 1, unit: value }], n, s))
      const next = own === first ? fits[0] : fits.find((n) => n > own)
      return next === undefined ? null : inParts(next)
    }
  }
}

function renaming(problem: Problem, s: Standing): Act | null {
  if (!s.laid) return piecesAct('lay', s.left)
  const value = valueOf(problem.first)
  if (s.value !== value) return wholly({ kind: 'join', amount: subtract(value, s.value) })
  const goal = wanted(problem.named!, problem, s)
  if (goal && !samePieces(goal.pieces, s.held)) {
    const change = addPieces(goal.pieces, s.held, -1)
    return {
      kind: 'exchange',
      from: opposite(change.filter((p) => p.count < 0)),
      to: change.filter((p) => p.count > 0),
    }
  }
  const as = goal?.as ?? printNumeral(problem.first)
  return isRead(s) && (s.as === null || s.as === as) ? null : { kind: 'read', value, as }
}

/* --- a part repeated --- */

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

/* --- the ways --- */

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
  next: (problem, s, choices) => chain(problem, s, choices, { common: true, apart: false }),
}
