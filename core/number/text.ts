import { isWhole, multiply, sizeOf, type Exact } from './exact'
import { printExact } from './numeral'
import { placeOfUnit, unitOf } from './places'
import { worthOf, type Pieces, type Units } from './units'

/** The denominator of equal parts that are no decimal place: 8 of an eighth; undefined of every other worth. */
export const partOf = (unit: Exact): string | undefined =>
  placeOfUnit(unit) === undefined ? unit.split('/')[1] : undefined

/**
 * A number as it was made of pieces: four eighths are 4/8 and no half; money keeps its two places (7.40); what stands in places of
 * tens is a decimal. Plain ASCII, as an outside evaluator reads it. `pieces` are those that make it, where they are known.
 */
export function numberText(value: Exact, units?: Units, pieces?: readonly Pieces[]): string {
  if (!units) return printExact(value)
  if (units.decimals !== undefined) return fixed(value, units.decimals)
  if (!units.worths.some(partOf)) return printExact(value)
  const kinds = [...new Set((pieces ?? []).flatMap((p) => partOf(p.unit) ?? []))]
  if (kinds.length === 1 && worthOf(pieces!) === value) {
    const top = multiply(value, kinds[0] as Exact)
    if (isWhole(top)) return `${top}/${kinds[0]}`
  }
  return value
}

/** A number with just so many places after the point, where so many are enough for it. */
function fixed(value: Exact, decimals: number): string {
  const scaled = multiply(sizeOf(value), unitOf(decimals))
  if (!isWhole(scaled) || decimals === 0) return printExact(value)
  const digits = scaled.padStart(decimals + 1, '0')
  return `${value.startsWith('-') ? '-' : ''}${digits.slice(0, -decimals)}.${digits.slice(-decimals)}`
}
