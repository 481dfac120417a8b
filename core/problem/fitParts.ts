import type { RepresentationId } from '../materials'
import { compare, exact, isWhole, multiply, sign, sizeOf, ZERO, type Exact } from '../number/exact'
import { denominatorOf, lcm, lowestText } from '../number/fractions'
import { printNumeral, valueOf, type Numeral } from '../number/numeral'
import { parts, type Units } from '../number/units'
import { BRITISH, capital, partsName } from '../number/words'
import { FITS, type Fit } from './fit'
import { answer, numbersIn, totals, type Problem } from './problem'

/** What a material of parts must know of a problem before it can say whether it fits. */
export interface PartsLimits {
  /** The material as the reason names it: “the strips”. */
  readonly name: string
  /** How many wholes it shows at once, and why no more. */
  readonly wholes: number
  readonly because: string
  /** Into how many parts a whole is cut at the most, those of a common denominator too. */
  readonly parts: number
  /** How many places after the point. */
  readonly decimals: number
  /** How many amounts lie there at once, to be compared. */
  readonly amounts: number
  /** Whether numbers of either sign are at home on it. */
  readonly signed?: boolean
  readonly instead: readonly RepresentationId[]
}

/** As many numbers as one page of work holds, and as many times as a part is repeated. */
const PAGE = 12
const MOST_TIMES = 20

/** The denominator that a number is written in; of a decimal, that of its last place. */
export const writtenIn = (n: Numeral): bigint =>
  n.form === 'fraction' ? BigInt(n.denominator) : 10n ** BigInt(n.decimals)

/** What all numbers of a problem can be written in together. */
export const commonIn = (problem: Problem): bigint => lcm(numbersIn(problem).map(writtenIn))

/** As fine as parts are written on a page or a line. */
export const MOST_WRITTEN = 10_000

const known = new Map<string, Units>()

/** The parts that a problem's numbers are written in, and those that are common to them. The same parts are always the same object. */
export function partsOfProblem(problem: Problem): Units {
  const all = new Set([...numbersIn(problem).map(writtenIn), commonIn(problem), BigInt(partsNamed(problem))])
  const wanted = [...all].filter((n) => n > 1n && n <= 1_000_000n).map(Number)
  const key = wanted.sort((a, b) => a - b).join()
  const units = known.get(key) ?? parts(...wanted)
  if (known.size > 500) known.clear()
  known.set(key, units)
  return units
}

const partsNamed = ({ named }: Problem): number => (named?.kind === 'parts' ? named.of : 1)

const shown = (n: Numeral): string => printNumeral(n).replace('-', '−')

/** The fit of what shows wholes and equal parts of them. */
export function fitParts(problem: Problem, limits: PartsLimits): Fit {
  const no = (why: string, instead: readonly RepresentationId[] = limits.instead): Fit => ({
    fits: false,
    why: capital(why),
    instead,
  })
  const { name } = limits
  if (problem.pairs) return no(`${name} has no zero pairs: plus and minus counters have.`, ['signed'])
  if (problem.groups) return no(`${name} works numbers one after another; it does not add equal groups together.`, [])
  const [term, more] = problem.terms
  const product = term?.operation === '*'
  if (problem.terms.some((t) => t.operation === '/' || (t.operation === '*' && (more || problem.others))))
    return no(`${name} adds, takes away and repeats a part; it does not divide.`, ['plates'])
  if (problem.terms.length >= PAGE) return no(`${name} works chains of up to ${PAGE} numbers.`, [])
  if (1 + (problem.others?.length ?? 0) > limits.amounts)
    return no(`${name} holds ${limits.amounts} amounts at once; these are more.`)
  for (const number of numbersIn(problem)) {
    const value = valueOf(number)
    if (sign(value) < 0 && !limits.signed)
      return no(`${shown(number)} is below nought, and ${name} shows nothing there.`, ['line'])
    if (number.form === 'places' && number.decimals > limits.decimals)
      return no(`${shown(number)} goes beyond ${name}: it has ${limits.decimals} places after the point.`)
    if (writtenIn(number) > BigInt(limits.parts))
      return no(
        `${shown(number)} needs a whole cut into ${writtenIn(number)} parts; ${name} is cut into up to ${limits.parts}.`,
      )
  }
  if (product) {
    const times = valueOf(problem.first)
    if (!isWhole(times) || sign(times) < 1 || compare(times, exact(MOST_TIMES)) > 0)
      return no(`How many times a part is repeated is a whole number from 1 to ${MOST_TIMES}, and stands first.`, [])
  }
  const common = commonIn(problem)
  if (common > BigInt(limits.parts))
    return no(`the largest common parts of these numbers are 1/${common}; ${name} is cut into up to ${limits.parts}.`)
  for (const total of [...totals(problem), ...(problem.others ?? []).flatMap(totals)]) {
    if (sign(total) < 0 && !limits.signed)
      return no(`the total comes to ${lowestText(total).replace('-', '−')}, and ${name} shows nothing below nought.`, [
        'line',
      ])
    if (compare(sizeOf(total), exact(limits.wholes)) > 0 && !product)
      return no(`${name} shows up to ${limits.wholes} wholes: ${limits.because}; ${lowestText(total)} is more.`)
  }
  if (product && compare(answer(problem), exact(limits.wholes)) > 0)
    return no(`${name} shows up to ${limits.wholes} wholes: ${limits.because}; ${lowestText(answer(problem))} is more.`)
  return naming(problem, limits, no)
}

/** Whether a number is a decimal that ends: its parts are made of twos and fives alone. */
function endsSomewhere(value: Exact): boolean {
  let rest = denominatorOf(value)
  for (const prime of [2n, 5n]) while (rest % prime === 0n) rest /= prime
  return rest === 1n
}

/** Whether a number can be written as is asked. */
function naming({ first, named }: Problem, limits: PartsLimits, no: (why: string) => Fit): Fit {
  if (!named) return FITS
  const value: Exact = valueOf(first)
  if (value === ZERO) return no('nought is written only one way.')
  if (named.kind === 'parts') {
    const name = partsName(BigInt(named.of), BRITISH, true)
    if (named.of > limits.parts) return no(`${limits.name} is cut into up to ${limits.parts} parts.`)
    if (!isWhole(multiply(value, exact(named.of))))
      return no(`${shown(first)} cannot be written in ${name}: it does not come out even.`)
  }
  if (named.kind === 'decimal' && !isWhole(multiply(value, exact(10n ** BigInt(limits.decimals)))))
    return no(
      endsSomewhere(value)
        ? `${shown(first)} needs more than ${limits.decimals} places after the point, and ${limits.name} has no finer parts.`
        : `${shown(first)} is no decimal that ends: tens, hundreds and thousands do not part into ${denominatorOf(value)}.`,
    )
  return FITS
}
