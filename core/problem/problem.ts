import { add, divide, exact, isWhole, multiply, sign, subtract, timesIn, type Exact } from '../number/exact'
import { gcd } from '../number/fractions'
import { decimalsOf, parseNumeral, printNumeral, valueOf, type Numeral } from '../number/numeral'

/** Adding and taking away, which make chains; multiplying and dividing, which stand alone. */
export type Operation = '+' | '-' | '*' | '/'

/** The operations of a chain. */
export type Sign = '+' | '-'

/** One further number of a chain, and what is done with it. */
export interface Term {
  readonly operation: Operation
  readonly number: Numeral
}

/** So many groups of a size: `3 * 25`. */
export interface Group {
  readonly count: Numeral
  readonly size: Numeral
}

/**
 * A chain of numbers: `52 - 37`, `33 + 4 - 6 + 2`, worked from the left; or one product or quotient: `7 * 9`, `36 / 9`; or a sum of
 * equal groups, `3 * 25 + 2 * 10 + 4 * 1`, whose numbers are what the groups come to.
 */
export interface Problem {
  readonly first: Numeral
  readonly terms: readonly Term[]
  /** Of a sum of equal groups: how each of its numbers is written, the first included. */
  readonly groups?: readonly Group[]
  /** So many zero pairs lie with the one number when it is set out: `4 with 3 pairs`. */
  readonly pairs?: number
  /** Amounts that it is held against: `3/8 + 2/8 ? 4/8`; with more than one, all are put in order. */
  readonly others?: readonly Amount[]
  /** How the one number is to be written: `2/3 = ?/12`. */
  readonly named?: Naming
  /** Coins that are not there to pay with, by value: `87 without 50`. */
  readonly without?: readonly number[]
}

/** A number, or a sum or difference of some. */
export type Amount = Pick<Problem, 'first' | 'terms'>

/** A number written in so many parts of a whole; in lowest terms; as a decimal; as a fraction; or in every other way that is as long. */
export type Naming =
  { readonly kind: 'parts'; readonly of: number } | { readonly kind: 'simplest' | 'decimal' | 'fraction' | 'others' }

/** As many amounts as are put in order at once. */
export const MOST_COMPARED = 5

const NAMED: Readonly<Record<Exclude<Naming['kind'], 'parts'>, string>> = {
  simplest: 'in simplest form',
  decimal: 'as a decimal',
  fraction: 'as a fraction',
  others: 'by other names',
}

/** How long a typed problem may be before Sett stops reading, in characters. */
export const MAX_PROBLEM_LENGTH = 1500
/** How many numbers a chain may have. */
export const MAX_NUMBERS = 100

/** The problem as plain text that `parseProblem` (problem/parse.ts) reads back to the same Problem. */
export function printProblem(problem: Problem): string {
  const { first, terms, groups, pairs, others, named, without } = problem
  if (without) return `${printProblem({ first, terms })} without ${without.join(' and ')}`
  if (others)
    return [groups ? printProblem({ first, terms, groups }) : amountText(problem), ...others.map(amountText)].join(
      ' ? ',
    )
  if (named?.kind === 'parts') return `${printNumeral(first)} = ?/${named.of}`
  if (named) return `${printNumeral(first)} ${NAMED[named.kind]}`
  if (pairs) return `${printNumeral(first)} with ${pairs} ${pairs === 1 ? 'pair' : 'pairs'}`
  // A fraction alone stands in brackets, since 3/8 by itself could be a division.
  if (terms.length === 0 && first.form === 'fraction' && !groups) return `(${printNumeral(first)})`
  const text = (number: Numeral, i: number): string => {
    const group = groups?.[i]
    return group ? `${printNumeral(group.count)} * ${printNumeral(group.size)}` : printNumeral(number)
  }
  return [text(first, 0), ...terms.map((t, i) => `${t.operation} ${text(t.number, i + 1)}`)].join(' ')
}

const amountText = ({ first, terms }: Amount): string =>
  [printNumeral(first), ...terms.map((t) => `${t.operation} ${printNumeral(t.number)}`)].join(' ')

/** Every number of a problem, as it is written. */
export const numbersIn = ({ first, terms, others = [] }: Problem): readonly Numeral[] =>
  [{ first, terms }, ...others].flatMap((a) => [a.first, ...a.terms.map((t) => t.number)])

/** Whether a problem's numbers are written as fractions. */
export const writesFractions = (problem: Problem): boolean =>
  numbersIn(problem).some((n) => n.form === 'fraction') ||
  (problem.named !== undefined && problem.named.kind !== 'decimal')

/** Whether a problem has to do with parts of a whole: a fraction, a decimal, or a number to be written as one. */
export const hasParts = (problem: Problem): boolean =>
  problem.named !== undefined || numbersIn(problem).some((n) => n.form === 'fraction' || n.decimals > 0)

/** Whether a problem asks for more than a number: that amounts be compared, or one be written another way. */
export const asksMore = ({ others, named }: Problem): boolean => others !== undefined || named !== undefined

/** Everything that is held against one another, what is asked first at the head. */
export const amountsOf = (problem: Problem): readonly Exact[] => [problem, ...(problem.others ?? [])].map(answer)

/** The value reached after each number of the chain; the last is the answer. */
export function totals(problem: Amount): readonly Exact[] {
  const reached = [valueOf(problem.first)]
  for (const { operation, number } of problem.terms) reached.push(WORKED[operation](reached.at(-1)!, valueOf(number)))
  return reached
}

/** What each operation makes of two numbers. */
export const WORKED: Readonly<Record<Operation, (a: Exact, b: Exact) => Exact>> = {
  '+': add,
  '-': subtract,
  '*': multiply,
  '/': divide,
}

/** How many decimals the number with most of them has. */
export const decimalsIn = (problem: Problem): number =>
  decimalsOf([problem.first, ...problem.terms.map((t) => t.number)])

/** Whether a problem is a chain of adding and taking away. */
export const isChain = (problem: Problem): boolean =>
  !problem.groups &&
  !problem.others &&
  !problem.named &&
  problem.terms.every((t) => t.operation === '+' || t.operation === '-')

/** Whether some number, or some total on the way, is below nought. */
export const hasBelow = (problem: Problem): boolean =>
  [...totals(problem), ...problem.terms.map((t) => valueOf(t.number))].some((n) => sign(n) < 0)

/** What a division comes to: how many each, and how many are left over; of whole numbers from nought up. */
export interface Quotient {
  readonly of: Exact
  readonly by: Exact
  readonly value: Exact
  readonly remainder: Exact
}

/** The quotient and remainder of a division of whole numbers from nought up; null for every other problem. */
export function quotientOf({ first, terms }: Problem): Quotient | null {
  const [term] = terms
  if (terms.length !== 1 || term!.operation !== '/') return null
  const [of, by] = [valueOf(first), valueOf(term!.number)]
  if (![of, by].every((n) => isWhole(n) && sign(n) >= 0)) return null
  const { times, rest } = timesIn(of, by)
  return { of, by, value: exact(times), remainder: rest }
}

/** Whether a reading is the answer; of a division also the whole number of times, with what is left over. */
export function isAnswer(
  problem: Problem,
  value: Exact,
  remainder: Exact | null = null,
  as: string | null = null,
): boolean {
  if (problem.named && as !== null && !isNamed(problem.named, parseNumeral(as))) return false
  if (remainder === null) return value === answer(problem)
  const quotient = quotientOf(problem)
  return quotient !== null && value === quotient.value && remainder === quotient.remainder
}

/** Whether a number is written as was asked. */
function isNamed(named: Naming, numeral: Numeral): boolean {
  switch (named.kind) {
    case 'parts':
      return numeral.form === 'fraction' && Number(numeral.denominator) === named.of
    case 'simplest': {
      if (numeral.form !== 'fraction') return numeral.decimals === 0
      const [top, bottom] = [BigInt(numeral.numerator), BigInt(numeral.denominator)]
      return bottom > 1n && gcd(top, bottom) === 1n && (numeral.whole === '' || top < bottom)
    }
    case 'decimal':
      return numeral.form === 'places'
    case 'fraction':
      return numeral.form === 'fraction' || numeral.decimals === 0
    case 'others':
      return true
  }
}

/** The exact answer. */
export const answer = (problem: Amount): Exact => totals(problem).at(-1) ?? exact(0)
