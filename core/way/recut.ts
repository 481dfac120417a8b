import type { ExchangeAct } from '../act/act'
import type { Standing } from '../act/standing'
import type { Choices } from '../choices'
import { exact, multiply, toCount } from '../number/exact'
import { denominatorOf, lcm, partUnit } from '../number/fractions'
import { samePieces, worthOf, type Pieces } from '../number/units'

/** Cutting parts anew, so that they are of one size: what the ways with parts share (practice, section 11; common practice, no source). */

/** The whole. */
export const ONE = exact(1)
const isPart = (p: Pieces): boolean => p.unit !== ONE
export const partsIn = (pieces: readonly Pieces[]): readonly Pieces[] => pieces.filter(isPart)
export const wholesIn = (pieces: readonly Pieces[]): readonly Pieces[] => pieces.filter((p) => !isPart(p))

/** Parts of whatever kinds as parts of one; undefined where the material has no such parts. */
export function inKind(pieces: readonly Pieces[], bottom: bigint, s: Standing): readonly Pieces[] | undefined {
  const unit = partUnit(bottom)
  const count = multiply(worthOf(pieces), exact(bottom))
  return s.units.worths.includes(unit) && !count.includes('/') ? [{ count: toCount(count), unit }] : undefined
}

/** The denominator in which some parts are counted together: the least common one, or the product where a class takes that. */
export function commonOf(kinds: readonly Pieces[], s: Standing, { parts }: Choices): bigint {
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
export function recutAll(
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
