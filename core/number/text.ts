import { exact, isWhole, multiply, sign, sizeOf, subtract, type Exact } from './exact'
import { denominatorOf, lcm, lowestText, mixedText, wholeAndRest } from './fractions'
import { printExact } from './numeral'
import { unitOf } from './places'
import { worthOf, type Pieces, type Units } from './units'

/** The denominator of equal parts: 8 of an eighth, 10 of a tenth; undefined of every other worth. */
export const partOf = (unit: Exact): string | undefined => /^1\/(\d+)$/.exec(unit)?.[1]

/**
 * A number as it was made of pieces: four eighths are 4/8 and no half; money keeps its two places (7.40); what stands in places of
 * tens is a decimal. Plain ASCII, as an outside evaluator reads it. `pieces` are those that make it, where they are known.
 */
export function numberText(value: Exact, units?: Units, pieces?: readonly Pieces[]): string {
  if (!units) return printExact(value)
  if (units.decimals !== undefined) return fixed(value, units.decimals)
  return units.fractions ? fractionText(value, pieces) : printExact(value)
}

/**
 * A number as a fraction of the parts that make it, wholes before them: 2 wholes and 6 fifths are `2 6/5`. Parts of several kinds are
 * written in their least common denominator. Where the pieces are not known, in lowest terms.
 */
export function fractionText(value: Exact, pieces: readonly Pieces[] = []): string {
  const below = sign(value) < 0
  const known = pieces.every(({ count, unit }) => /^1(?:\/\d+)?$/.test(unit) && count < 0 === below)
  if (pieces.length === 0 || !known || worthOf(pieces) !== value) return lowestText(value)
  const bottom = lcm(pieces.map((p) => denominatorOf(p.unit)))
  const whole = pieces.find((p) => p.unit === '1')?.count ?? 0
  const rest = subtract(sizeOf(value), exact(Math.abs(whole)))
  return mixedText(BigInt(Math.abs(whole)), BigInt(multiply(rest, exact(bottom))), bottom, below)
}

/** Several numbers in their least common denominator: 5/8, 3/8 and 2/8, and no quarter among them. */
export function inCommon(values: readonly Exact[]): readonly string[] {
  const bottom = lcm(values.map(denominatorOf))
  return values.map((value) => {
    const { whole, rest } = wholeAndRest(sizeOf(value))
    return mixedText(BigInt(whole), BigInt(multiply(rest, exact(bottom))), bottom, sign(value) < 0)
  })
}

/** Numbers with a whole before the fraction, wherever they stand in a line. */
const MIXED = /(-?)(\d+) (\d+\/\d+)/g
/** A fraction that something stands before which would take it apart: `1 - -1/2` is fine, `2 * 3/4` is not the same as `2 * 3 / 4`. */
const AFTER_SIGN = /(- |\* |\/ )(-?\d+\/\d+)/g

/** A line as an outside evaluator reads it: a mixed number is a sum in brackets, `2 2/5` is `(2 + 2/5)`. */
export const plainArithmetic = (line: string): string =>
  line.replace(MIXED, '$1($2 + $3)').replace(AFTER_SIGN, '$1($2)')

/** A number with just so many places after the point, where so many are enough for it. */
function fixed(value: Exact, decimals: number): string {
  const scaled = multiply(sizeOf(value), unitOf(decimals))
  if (!isWhole(scaled) || decimals === 0) return printExact(value)
  const digits = scaled.padStart(decimals + 1, '0')
  return `${value.startsWith('-') ? '-' : ''}${digits.slice(0, -decimals)}.${digits.slice(-decimals)}`
}
