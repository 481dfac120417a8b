import fc from 'fast-check'
import { all, create } from 'mathjs'
import { parseProblem } from '../../core/problem/parse'
import type { Problem } from '../../core/problem/problem'

/** Problems with parts of a whole, and an evaluator of others that works them exactly. */

export const PARTED = ['strips', 'vessel', 'line', 'fraction-rule'] as const

const exactly = create(all!, { number: 'Fraction' })
/** A mixed number stands for a sum: `2 2/5` is two and two fifths. */
const spelled = (text: string): string =>
  text.replace(/(-?)(\d+) (\d+\/\d+)/g, '$1($2 + $3)').replace(/(\d+\/\d+)/g, '($1)')

/** Whether a line holds, and what a problem comes to, by mathjs with exact fractions. */
export const holdsOutside = (equation: string): unknown => exactly.evaluate(equation.replaceAll(' = ', ' == '))
export const worksOutside = (problem: string): string => {
  const { s, n, d } = exactly.evaluate(spelled(problem)) as { s: bigint; n: bigint; d: bigint }
  const sign = BigInt(s) < 0n && BigInt(n) !== 0n ? '-' : ''
  return BigInt(d) === 1n ? `${sign}${n}` : `${sign}${n}/${d}`
}

/** A fraction as one writes it, its wholes up to `wholes`; sometimes improper, sometimes not in lowest terms, sometimes whole. */
export const fraction = (wholes: number, bottoms = 20): fc.Arbitrary<string> =>
  fc
    .tuple(fc.nat(wholes), fc.integer({ min: 2, max: bottoms }), fc.nat(4))
    .chain(([whole, bottom, kind]) =>
      kind === 0 && whole > 0
        ? fc.constant(String(whole))
        : fc
            .integer({ min: 1, max: kind === 1 ? bottom : bottom - 1 })
            .map((top) => (whole > 0 && kind !== 1 ? `${whole} ${top}/${bottom}` : `${top}/${bottom}`)),
    )

const worth = (text: string): number => {
  const [, whole, top, bottom] = /^(?:(\d+)(?: |$))?(?:(\d+)\/(\d+))?$/.exec(text)!
  return Number(whole ?? 0) + (top ? Number(top) / Number(bottom) : 0)
}

/** Sums and differences of two fractions, from nought up. */
export const fractionSteps = (wholes = 20, bottoms = 20): fc.Arbitrary<Problem> =>
  fc
    .tuple(fraction(wholes, bottoms), fc.boolean(), fraction(wholes, bottoms))
    .filter(([a, , b]) => a.includes('/') || b.includes('/'))
    .map(([a, plus, b]) => (plus ? `${a} + ${b}` : worth(a) >= worth(b) ? `${a} - ${b}` : `${b} - ${a}`))
    .map(parseProblem)

/** The same with both signs, as they stand on a line. */
export const signedSteps = (): fc.Arbitrary<Problem> =>
  fc
    .tuple(fraction(20), fc.constantFrom('+', '-'), fraction(20), fc.boolean(), fc.boolean())
    .filter(([a, , b]) => a.includes('/') || b.includes('/'))
    .map(([a, sign, b, m, n]) => `${m ? '-' : ''}${a} ${sign} ${n ? `(-${b})` : b}`)
    .map(parseProblem)

/** Problems that have always to be tried. */
export const KNOWN = [
  '3/10 + 4/10',
  '5/8 - 2/8',
  '1/2 + 1/3',
  '5/6 - 1/4',
  '2 2/5 + 1 3/4',
  '3 1/5 - 1 2/3',
  '2 - 3/8',
  '7/10 + 6/10',
  '12/5 - 2',
  '4/4 - 1/2',
].map(parseProblem)
