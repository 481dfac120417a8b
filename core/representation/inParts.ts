import { breakAct, makeAct, type ExchangeAct } from '../act/act'
import { divide, exact, isWhole, multiply, sign, toCount, ZERO, type Exact } from '../number/exact'
import { MAX_DIGITS, parseNumeral, printExact, valueOf } from '../number/numeral'
import { partOf } from '../number/text'
import { countOf, has, ladderOf, piecesOfNumeral, worthOf, type Pieces, type Units } from '../number/units'
import { attempt } from '../refusal'

/** One kind of pieces as it stands in a line: `40`, `10 * 100`, `5/8`, `-3`. */
function partText({ count, unit }: Pieces, pieces: readonly Pieces[], units: Units): string {
  if (sign(unit) < 0) return printExact(multiply(exact(count), unit))
  const parts = units.fractions ? partOf(unit) : undefined
  if (parts) return `${count}/${parts}`
  const ladder = ladderOf(units)
  if (!ladder && count > 1 && unit !== '1') return `${count} * ${printExact(unit)}`
  // Ten hundreds with no thousand before them would read as one thousand, and a hundred ones as one hundred.
  const above = ladder?.find((r) => r.lower === unit)
  const next = above && ladder?.find((r) => r.lower === above.unit)
  const full = above !== undefined && count >= above.times && count % above.times === 0
  const twice = next !== undefined && count % (above!.times * next.times) === 0
  const mistakable = full && (twice || countOf(pieces, above.unit) === 0)
  return mistakable ? `${count} * ${printExact(unit)}` : printExact(worthOf([{ count, unit }]))
}

/** Pieces parted into their kinds: `40 + 12`, `200 + 100 + 4`. */
export const inParts = (pieces: readonly Pieces[], units: Units): string =>
  pieces.map((p) => partText(p, pieces, units)).join(' + ') || '0'

/** The numbers in a sum such as `10 * 100 + 40`; none where it is something else. */
function partsIn(side: string): readonly Exact[] {
  const read = attempt(() =>
    side.split(' + ').map((part) => {
      const [many = '', unit = '1'] = part.split(' * ')
      return multiply(valueOf(parseNumeral(many)), valueOf(parseNumeral(unit)))
    }),
  )
  return 'ok' in read ? read.ok : []
}

/** Whether a number is so many pieces: whole, and no more than anything here holds. */
const isCount = (n: Exact): boolean => isWhole(n) && n.length <= MAX_DIGITS

/**
 * The exchanges that a line of parts could write, told from the numbers in it: whichever kind gave or got, what stands there
 * afterwards is one of them, or nothing. Each still has to be tried against what would be written for it.
 */
export function exchangesIn(line: string, held: readonly Pieces[], units: Units): readonly ExchangeAct[] {
  const [, right = ''] = line.split(' = ')
  const parts = [ZERO, ...partsIn(right)]
  return (ladderOf(units) ?? []).flatMap((rung) => {
    const count = countOf(held, rung.unit)
    const left = new Set(parts.map((n) => divide(n, rung.unit)).filter(isCount))
    return [...left].map(toCount).flatMap((now) => {
      if (now < count) return [breakAct(rung, count - now)]
      const times = now - count
      return times > 0 && rung.times * times <= countOf(held, rung.lower) ? [makeAct(rung, times)] : []
    })
  })
}

/** A written number as pieces of a material: 4/8 is four eighths; undefined where it is no number, or they do not make it. */
export function piecesIn(text: string, units: Units): readonly Pieces[] | undefined {
  const read = attempt(() => parseNumeral(text))
  const pieces = 'ok' in read ? piecesOfNumeral(read.ok, valueOf(read.ok), units) : undefined
  return pieces && has(units, pieces) ? pieces : undefined
}
