import { isWhole, sign, sizeOf, toCount, type Exact } from '../../number/exact'
import { digitsOf } from '../../number/places'
import { valueOf } from '../../number/numeral'
import { features } from '../../problem/features'
import { parseProblem } from '../../problem/parse'
import type { Limits } from './limits'
import { answer, decimalsIn, numbersIn, quotientOf, type Problem } from '../../problem/problem'

/** What a problem asks of whoever works it in columns. */
export interface Features {
  readonly operation: Limits['operation']
  /** Digits of each number, decimals included. */
  readonly digits: readonly number[]
  /** Columns in which ten are made, something is exchanged, or carried when multiplying by one digit. */
  readonly exchanges: number
  readonly acrossNought: boolean
  readonly ragged: boolean
  readonly decimals: number
  readonly below: Exact
  readonly remainder: boolean
  /** What makes it differ from others: the same text where two problems ask the same. */
  readonly kind: string
  /** How much there is to do: the greater the harder. */
  readonly hardness: number
}

const NAMES = { '+': 'add', '-': 'subtract', '*': 'multiply', '/': 'divide' } as const

/** How often something is carried when a number is multiplied by one digit. */
function carriesIn(top: number, by: number): readonly number[] {
  const places: number[] = []
  let carry = 0
  for (const [place, digit] of [...String(top)].reverse().entries()) {
    carry = Math.floor((Number(digit) * by + carry) / 10)
    if (carry > 0) places.push(place)
  }
  return places
}

/** What a problem asks. @throws Refusal for text that is no problem. */
export function featuresIn(given: string | Problem): Features {
  const problem = typeof given === 'string' ? parseProblem(given) : given
  const decimals = decimalsIn(problem)
  const values = numbersIn(problem).map(valueOf)
  const operation = problem.named
    ? 'rename'
    : problem.others
      ? 'compare'
      : problem.terms[0]
        ? NAMES[problem.terms[0].operation]
        : 'count'
  const isPlaces = values.every((v) => isWhole(v) || decimals > 0) && values.every((v) => sign(v) >= 0)
  const digits = isPlaces ? values.map((v) => digitsOf(sizeOf(v), 1, decimals).length) : []
  const inColumns = isPlaces && (operation === 'add' || operation === 'subtract')
  const steps = inColumns ? features(problem) : []
  const byDigit = operation === 'multiply' && digits[1] === 1
  const places = inColumns
    ? problem.terms.length === 1
      ? steps[0]!.exchanges
      : columnsOver(values, decimals)
    : byDigit
      ? carriesIn(toCount(values[0]!), toCount(values[1]!))
      : []
  const acrossNought = steps.some((s) => s.acrossZero.length > 0)
  const quotient = quotientOf(problem)
  const remainder = quotient !== null && quotient.remainder !== '0'
  const ragged = new Set(digits).size > 1
  const kind = [digits.join(), places.join(), Number(acrossNought), Number(remainder)].join(';')
  const hardness =
    digits.reduce((a, b) => a + b, 0) + 3 * places.length + (acrossNought ? 4 : 0) + (remainder ? 2 : 0) + decimals
  return {
    operation,
    digits,
    exchanges: places.length,
    acrossNought,
    ragged,
    decimals,
    below: answer(problem),
    remainder,
    kind,
    hardness,
  }
}

/** Columns of several numbers added together that come to ten or more. */
function columnsOver(values: readonly Exact[], decimals: number): readonly number[] {
  const rows = values.map((v) => digitsOf(v, 1, decimals))
  const places: number[] = []
  let carry = 0
  for (let at = 0; at < Math.max(...rows.map((r) => r.length)); at++) {
    const total = rows.reduce((sum, row) => sum + (row[at] ?? 0), carry)
    carry = Math.floor(total / 10)
    if (carry > 0) places.push(at - decimals)
  }
  return places
}
