import type { CompareAct } from '../act/act'
import { add, compare, divide, exact, isWhole, multiply, sizeOf, ZERO, type Exact } from '../number/exact'
import { lcm, relationOf, wholeAndRest, type Relation } from '../number/fractions'
import { parseNumeral, valueOf, type Numeral } from '../number/numeral'
import { answer, isChain, WORKED, type Problem } from '../problem/problem'
import { comingTo, type Procedure } from './procedure'

/** Mistaken ways with fractions and decimals (practice, sections 11 and 14; common practice, no source). */

/** A number as whole, top and bottom; a whole number is so many over one. */
interface Parted {
  readonly whole: bigint
  readonly top: bigint
  readonly bottom: bigint
}

function parted(n: Numeral): Parted | null {
  if (n.negative) return null
  if (n.form === 'fraction')
    return { whole: BigInt(n.whole || '0'), top: BigInt(n.numerator), bottom: BigInt(n.denominator) }
  return n.decimals > 0 ? null : { whole: 0n, top: BigInt(n.digits), bottom: 1n }
}

interface Step {
  readonly a: Parted
  readonly b: Parted
  readonly operation: '+' | '-'
}

/** The two fractions of a problem of one step; null where it is none. */
function step(problem: Problem): Step | null {
  const [term, more] = problem.terms
  if (!isChain(problem) || !term || more) return null
  const [a, b] = [parted(problem.first), parted(term.number)]
  const fractions = [problem.first, term.number].some((n) => n.form === 'fraction')
  return a && b && fractions ? { a, b, operation: term.operation as '+' | '-' } : null
}

const fraction = (whole: bigint, top: bigint, bottom: bigint): Exact | null =>
  bottom <= 0n || top < 0n || whole < 0n ? null : add(exact(whole), divide(exact(top), exact(bottom)))

/** What a mistaken way comes to; with the wholes apart, and with all in parts. */
const wrongly =
  (work: (of: Step, sum: (x: bigint, y: bigint) => bigint) => readonly (Exact | null)[]): Procedure['computes'] =>
  (problem) => {
    const of = step(problem)
    if (!of) return []
    const sum = (x: bigint, y: bigint): bigint => (of.operation === '+' ? x + y : x - y)
    const improper = ({ whole, top, bottom }: Parted): Parted => ({ whole: 0n, top: whole * bottom + top, bottom })
    return comingTo([...work(of, sum), ...work({ ...of, a: improper(of.a), b: improper(of.b) }, sum)])
  }

const size = (n: bigint): bigint => (n < 0n ? -n : n)

export const topsAndBottoms: Procedure = {
  id: 'tops-and-bottoms',
  name: 'added tops and bottoms',
  computes: wrongly(({ a, b, operation }, sum) =>
    a.bottom === 1n || b.bottom === 1n
      ? []
      : [
          fraction(
            sum(a.whole, b.whole),
            size(sum(a.top, b.top)),
            operation === '+' ? a.bottom + b.bottom : size(a.bottom - b.bottom),
          ),
        ],
  ),
}

export const oneDenominator: Procedure = {
  id: 'one-denominator',
  name: 'kept one denominator for different parts',
  computes: wrongly(({ a, b }, sum) =>
    a.bottom === b.bottom
      ? []
      : [a.bottom, b.bottom].map((bottom) => fraction(sum(a.whole, b.whole), size(sum(a.top, b.top)), bottom)),
  ),
}

export const bottomOnly: Procedure = {
  id: 'bottom-only',
  name: 'renamed the bottom without the top',
  computes: wrongly(({ a, b }, sum) =>
    a.bottom === b.bottom
      ? []
      : [lcm([a.bottom, b.bottom]), a.bottom * b.bottom].map((bottom) =>
          fraction(sum(a.whole, b.whole), size(sum(a.top, b.top)), bottom),
        ),
  ),
}

/** Beyond one whole: all the wholes there are taken together for one. */
export const wholesAsOne: Procedure = {
  id: 'wholes-as-one',
  name: 'took several wholes together for one whole',
  computes: (problem) => {
    const right = answer(problem)
    const { whole, rest } = wholeAndRest(right)
    const wholes = add(whole, exact(rest === ZERO ? 0 : 1))
    const fractions = [problem.first, ...problem.terms.map((t) => t.number)].some((n) => n.form === 'fraction')
    return fractions && !isWhole(right) && compare(right, exact(1)) > 0 ? comingTo([divide(right, wholes)]) : []
  },
}

export const bottomTimes: Procedure = {
  id: 'bottom-times',
  name: 'multiplied the bottom as well as the top',
  computes: ({ first, terms: [term, more] }) => {
    if (!term || more || term.operation !== '*' || term.number.form !== 'fraction') return []
    const { whole, rest } = wholeAndRest(valueOf(term.number))
    return comingTo([add(multiply(valueOf(first), whole), rest)])
  },
}

/** The two decimals of a problem of one step; null where it is none. */
function decimals(
  problem: Problem,
): { readonly a: Numeral; readonly b: Numeral; readonly operation: '+' | '-' } | null {
  const [term, more] = problem.terms
  if (!isChain(problem) || !term || more) return null
  const [a, b] = [problem.first, term.number]
  const both = a.form === 'places' && b.form === 'places' && !a.negative && !b.negative
  return both && a.decimals + b.decimals > 0 ? { a, b, operation: term.operation as '+' | '-' } : null
}

const scaled = (n: Exact, places: number): Exact => divide(n, exact(10n ** BigInt(places)))

export const flushRight: Procedure = {
  id: 'flush-right',
  name: 'wrote decimals flush right, without the points under each other',
  computes: (problem) => {
    const of = decimals(problem)
    if (!of || of.a.form !== 'places' || of.b.form !== 'places' || of.a.decimals === of.b.decimals) return []
    const [x, y] = [exact(BigInt(of.a.digits)), exact(BigInt(of.b.digits))]
    const all = sizeOf(WORKED[of.operation](x, y))
    return comingTo([of.a.decimals, of.b.decimals].sort((x, y) => y - x).map((places) => scaled(all, places)))
  },
}

export const afterPointAsWhole: Procedure = {
  id: 'after-point-as-whole',
  name: 'worked what stands after the point as a number of its own',
  computes: (problem) => {
    const of = decimals(problem)
    if (!of || of.a.form !== 'places' || of.b.form !== 'places') return []
    const after = (n: Numeral): string => (n.form === 'places' && n.decimals > 0 ? n.digits.slice(-n.decimals) : '0')
    const before = (n: Numeral): Exact => wholeAndRest(valueOf(n)).whole
    const wholes = WORKED[of.operation](before(of.a), before(of.b))
    const rest = sizeOf(WORKED[of.operation](exact(BigInt(after(of.a))), exact(BigInt(after(of.b)))))
    return comingTo([add(wholes, scaled(rest, rest.length))])
  },
}

/** A wrong comparison by how it may have come about: by the bottoms, or by what stands after the point as a whole number. */
export function comparisonMistake({ numbers, relations }: Omit<CompareAct, 'kind'>): string {
  const read = numbers.map(parseNumeral)
  const follows = (of: (n: Numeral) => Exact | null): boolean =>
    relations.every((relation, i) => {
      const [a, b] = [of(read[i]!), of(read[i + 1]!)]
      return a !== null && b !== null && a !== b && said(relation, a, b)
    })
  if (follows((n) => (n.form === 'fraction' ? exact(BigInt(n.denominator)) : null)))
    return 'took the larger bottom for the larger part'
  const after = (n: Numeral): Exact | null =>
    n.form === 'places' && n.decimals > 0 ? exact(BigInt(n.digits.slice(-n.decimals))) : null
  if (follows(after)) return 'took the longer decimal for the larger'
  return 'compared two amounts wrongly'
}
const said = (relation: Relation, a: Exact, b: Exact): boolean => relationOf(a, b) === relation
