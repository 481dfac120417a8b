import { multiply, parts, subtract, type Exact } from '../number/exact'
import { valueOf } from '../number/numeral'
import { rightOf, type Worked } from '../mistakes/procedure'
import type { Problem } from '../problem/problem'
import { comesTo, type Item } from './item'
import { predicted, type Predicted, type Suspect } from './predict'

/**
 * How likely answers are under each explanation. A learner who works by a procedure writes what it comes to, but for slips; a slip is
 * often near what should have been written. How often somebody slips is not known beforehand: it is reckoned with each of a few rates.
 */

/** Rates of slips that are reckoned with, and how likely each is beforehand (our own estimate). */
export const SLIP_RATES = [0.02, 0.06, 0.12, 0.2, 0.3] as const
const SLIP_WEIGHTS = [0.25, 0.3, 0.25, 0.13, 0.07] as const
/** How much of the answers of somebody who guesses, or works in no way known here, comes out right. */
const GUESS_RATES = [0, 0.15, 0.35, 0.55, 0.75] as const

/** Of slips away from a procedure, those that come out right after all. */
const RIGHT_AFTER_ALL = 0.3
/** Of other slips, how many land just so far off what was meant, in units of the lowest place; the rest may be anywhere. */
const NEAR: Readonly<Record<string, number>> = {
  '1': 0.12,
  '-1': 0.12,
  '10': 0.06,
  '-10': 0.06,
  '2': 0.04,
  '-2': 0.04,
  '100': 0.03,
  '-100': 0.03,
  '0': 0.1,
}
const ANYWHERE = 0.4
/** However long numbers are, so many wrong answers come to mind; it also keeps products of many of them above nought. */
const MOST_SPREAD = 10_000

/** How likely one wrong answer is when one slips away from what was meant. */
function slipTo(given: Exact, meant: Exact, problem: Problem): number {
  const { spread, scale } = spreadOf(problem)
  const off = multiply(subtract(given, meant), scale)
  // The same number, with another remainder: nought off.
  return (NEAR[off] ?? 0) + ANYWHERE / spread
}

const spreads = new WeakMap<Problem, { readonly spread: number; readonly scale: Exact }>()
/** Among how many answers a guess falls, and what makes the lowest place of a problem's numbers a one. */
function spreadOf(problem: Problem): { readonly spread: number; readonly scale: Exact } {
  const known = spreads.get(problem)
  if (known) return known
  const numbers = [valueOf(problem.first), ...problem.terms.map((t) => valueOf(t.number)), rightOf(problem).value]
  const [sizes, bottoms] = [
    numbers.map((n) => Math.abs(Number(parts(n).numerator))),
    numbers.map((n) => parts(n).denominator),
  ]
  const scale = bottoms.reduce((a, b) => (a > b ? a : b), 1n)
  const made = { spread: Math.min(MOST_SPREAD, Math.max(20, ...sizes)), scale: String(scale) as Exact }
  spreads.set(problem, made)
  return made
}

/** Items of a sheet that were answered, with what is right. */
export interface Answered {
  readonly at: number
  readonly problem: Problem
  readonly given: Worked
  readonly right: Worked
  readonly isRight: boolean
}

export const answeredIn = (items: readonly Item[]): readonly Answered[] =>
  items.flatMap(({ problem, answer }, at) => {
    if (!answer) return []
    const right = rightOf(problem)
    return [{ at, problem, given: answer, right, isRight: comesTo(answer, right) }]
  })

/** A suspect, weighed by the answers given. */
export interface Weighed {
  readonly suspect: Suspect
  readonly predictions: readonly Predicted[]
  /** The predictions as text: two suspects with the same key are not told apart by these problems. */
  readonly key: string
  /** For each answered item whether it is what the suspect comes to. */
  readonly holds: readonly boolean[]
  readonly likelihood: number
}

/** Likelihood over all rates of slips: of answers as meant, and of slips with how likely each of them is. */
function overRates(asMeant: number, slips: readonly number[], fixed?: number): number {
  const rest = slips.reduce((all, chance) => all * chance, 1)
  const at = (rate: number): number => (1 - rate) ** asMeant * rate ** slips.length * rest
  if (fixed !== undefined) return at(fixed)
  return SLIP_RATES.reduce<number>((sum, rate, i) => sum + SLIP_WEIGHTS[i]! * at(rate), 0)
}

/** Marks above the columns that are not those of a procedure, although the answer is. */
const OTHER_MARKS = 0.25
function marksChance(given: Worked, way: Worked): number {
  if (!given.marks || !way.marks) return 1
  const width = Math.max(given.marks.length, way.marks.length)
  const alike = Array.from({ length: width }, (_, i) => (given.marks![i] ?? '') === (way.marks![i] ?? '')).every(
    Boolean,
  )
  return alike ? 1 : OTHER_MARKS
}

/** How likely a sheet's answers are by a suspect. */
export function weigh(suspect: Suspect, answered: readonly Answered[], rate?: number): Weighed {
  const predictions = answered.map(({ problem }) => predicted(suspect, problem))
  const slips: number[] = []
  let [asMeant, either] = [0, 1]
  const holds = answered.map(({ given, right, isRight, problem }, i) => {
    const ways = predictions[i]!
    const held = ways.find((way) => comesTo(given, way))
    if (held) {
      asMeant++
      either *= marksChance(given, held) / ways.length
      return true
    }
    const bites = !comesTo(ways[0]!, right)
    const off = slipTo(given.value, ways[0]!.value, problem)
    slips.push(bites ? (isRight ? RIGHT_AFTER_ALL : (1 - RIGHT_AFTER_ALL) * off) : off)
    return false
  })
  const key = predictions.map((ways) => ways.map((w) => `${w.value} ${w.remainder ?? ''}`).join('|')).join(';')
  return { suspect, predictions, key, holds, likelihood: either * overRates(asMeant, slips, rate) }
}

/** How likely the answers are for somebody who works as one should and slips now and then. */
export function carefulLikelihood(answered: readonly Answered[], rate?: number): number {
  const wrong = answered.filter((a) => !a.isRight)
  const slips = wrong.map(({ given, right, problem }) => slipTo(given.value, right.value, problem))
  return overRates(answered.length - wrong.length, slips, rate)
}

/** How likely they are for somebody who guesses, or works in some way that is not known here. */
export function otherLikelihood(answered: readonly Answered[]): number {
  const wrong = answered.filter((a) => !a.isRight)
  const rest = wrong.reduce((all, { given, right, problem }) => all * slipTo(given.value, right.value, problem), 1)
  const rights = answered.length - wrong.length
  return GUESS_RATES.reduce<number>(
    (sum, r) => sum + (r ** rights * (1 - r) ** wrong.length * rest) / GUESS_RATES.length,
    0,
  )
}

/** The rate of slips that a sheet speaks for, where so many answers are as meant and so many are not. */
export function estimatedRate(asMeant: number, slips: number): number {
  const weights = SLIP_RATES.map((rate, i) => SLIP_WEIGHTS[i]! * (1 - rate) ** asMeant * rate ** slips)
  const all = weights.reduce((a, b) => a + b, 0)
  return SLIP_RATES.reduce<number>((sum, rate, i) => sum + (rate * weights[i]!) / all, 0)
}
