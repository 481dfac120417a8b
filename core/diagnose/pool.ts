import { between, seeded, type Random } from '../course/random'
import type { Family, WorkedWith } from '../mistakes/catalogue'
import { parseProblem } from '../problem/parse'
import { hasBelow, printProblem, type Problem } from '../problem/problem'
import { Refusal } from '../refusal'

/** Problems of a kind to choose from: they hold what the mistakes of the kind are seen in (noughts, exchanges, unlike parts). */

/** What the problems may be. */
export interface Limits {
  readonly family: Family
  /** The greatest number that is worked with, 10 to 9,999; of fractions the largest bottom is a tenth of it, 4 to 12. */
  readonly most: number
}

export const MOST_POOL = 600

type Draw = (random: Random, most: number) => string

/** A number of up to so much, with as many digits as not less often; noughts inside are more usual than by chance. */
function number(random: Random, most: number, least = 1): number {
  const digits = between(random, 1, String(most).length)
  const n = between(random, Math.max(least, 10 ** (digits - 1)), Math.max(least, Math.min(most, 10 ** digits - 1)))
  if (random() < 0.35 && n >= 100) {
    const noughts = String(n).replace(/^(\d)\d(?=\d)/, '$10')
    return Number(noughts)
  }
  return n
}

const fraction = (random: Random, bottoms: readonly number[]): string => {
  const bottom = bottoms[between(random, 0, bottoms.length - 1)]!
  return `${between(random, 1, bottom - 1)}/${bottom}`
}

const DRAWS: Readonly<Record<Family, Draw>> = {
  adding: (random, most) => `${number(random, most)} + ${number(random, most)}`,
  'taking away': (random, most) => {
    const [a, b] = [number(random, most, 2), number(random, most)]
    return `${Math.max(a, b)} - ${Math.min(a, b)}`
  },
  'plus and minus': (random, most) => {
    const one = (): number => between(random, 1, Math.min(most, 20)) * (random() < 0.5 ? -1 : 1)
    const [a, b] = [one(), one()]
    return `${a} ${random() < 0.5 ? '+' : '-'} ${b < 0 ? `(${b})` : b}`
  },
  fractions: (random, most) => {
    const bottoms = [2, 3, 4, 5, 6, 8, 10, 12].filter((b) => b <= Math.max(4, most / 10))
    if (random() < 0.2) return `${between(random, 2, 5)} * ${fraction(random, bottoms)}`
    return `${fraction(random, bottoms)} + ${fraction(random, bottoms)}`
  },
  decimals: (random, most) => {
    const one = (): string =>
      (number(random, Math.min(most, 999)) / 10 ** between(random, 1, 2)).toFixed(between(random, 1, 2))
    const [a, b] = [one(), one()]
    return random() < 0.5 || Number(a) < Number(b) ? `${a} + ${b}` : `${a} - ${b}`
  },
  coins: (random) => {
    const kinds = [50, 25, 20, 10, 5, 2, 1].filter(() => random() < 0.45)
    return kinds.length < 2 ? '' : kinds.map((k) => `${between(random, 1, 4)} * ${k}`).join(' + ')
  },
  multiplying: (random, most) => {
    const top = number(random, Math.min(most, 999), 2)
    return random() < 0.3
      ? `${between(random, 2, 10)} * 9`
      : `${top} * ${between(random, 2, random() < 0.3 && most > 99 ? 49 : 9)}`
  },
  dividing: (random, most) => `${number(random, most, 10)} / ${between(random, 2, 9)}`,
  'bead frames': (random, most) => {
    const [a, b] = [number(random, most), number(random, most)]
    return random() < 0.6 ? `${a} + ${b}` : `${Math.max(a, b)} - ${Math.min(a, b)}`
  },
}

/** @throws Refusal where the limits make no sense. */
function checked({ most }: Limits): void {
  if (!Number.isInteger(most) || most < 10 || most > 9999)
    throw new Refusal('The greatest number goes from 10 to 9,999.', 'For example 99, or 999.')
}

/** So many different problems within limits; the same seed gives the same ones. @throws Refusal where the limits make no sense. */
export function problemsOf(limits: Limits, count: number, seed: number): readonly Problem[] {
  checked(limits)
  const random = seeded(seed)
  const found = new Map<string, Problem>()
  const wanted = Math.min(count, MOST_POOL)
  for (let tries = 0; found.size < wanted && tries < 30 * wanted + 100; tries++) {
    const text = DRAWS[limits.family](random, limits.most)
    if (text === '' || /\b(\d+) - \1$/.test(text)) continue
    const problem = parseProblem(text)
    found.set(printProblem(problem), problem)
  }
  return [...found.values()]
}

/** The kind that a problem is of, by what it is worked with. */
export function familyOf(problem: Problem, where: WorkedWith): Family {
  const { first, terms, groups } = problem
  const numbers = [first, ...terms.map((t) => t.number)]
  if (groups) return 'coins'
  if (numbers.some((n) => n.form === 'fraction')) return 'fractions'
  if (hasBelow(problem) || numbers.some((n) => n.negative)) return 'plus and minus'
  if (numbers.some((n) => n.form === 'places' && n.decimals > 0)) return 'decimals'
  const operation = terms[0]?.operation ?? '+'
  if (operation === '*' || operation === '/') return operation === '*' ? 'multiplying' : 'dividing'
  if (where === 'beads') return 'bead frames'
  return operation === '+' ? 'adding' : 'taking away'
}
