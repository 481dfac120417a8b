import { add, compare, divide, exact, negate, type Exact } from '../../number/exact'
import { Refusal } from '../../refusal'
import { between, type Random } from '../random'
import { pairSpace, sumSpace, type Space } from './columns'
import { checkLimits, type Limits } from './limits'
import { productSpace, quotientSpace, signedSpace } from './products'

/** Numbers of two digits each, unless limits say otherwise; of a multiplication or division the second has one. */
const usualDigits = ({ operation, addends = 2 }: Limits): readonly number[] =>
  operation === 'multiply' || operation === 'divide' ? [2, 1] : new Array<number>(addends).fill(2)

export const SIGNS = {
  add: '+',
  subtract: '-',
  multiply: '*',
  divide: '/',
  compare: '?',
  count: '',
  rename: '',
} as const

/** Problems of some limits: how many, and one of them drawn by chance. */
export interface Problems {
  readonly count: bigint
  draw(random: Random): string
}
const NONE: Problems = { count: 0n, draw: () => '' }

const MOST_BY = 3

/** The problems of limits that have been looked through. @throws Refusal where they cannot be. */
export function problemsOf(limits: Limits): Problems {
  if (limits.operation === 'count' || (limits.operation === 'compare' && !limits.denominators))
    return plainProblems(limits)
  if (limits.operation === 'rename' && !limits.denominators)
    throw new Refusal('Which bottoms are there to be?', 'Give “denominators”.')
  if (limits.denominators) return fractionProblems(limits, limits.denominators)
  if (limits.signs) return signedProblems(limits, limits.signs)
  const digits = limits.digits ?? usualDigits(limits)
  const decimals = limits.decimals ?? 0
  if (digits.some((d) => d < decimals + 1 && decimals > 0))
    throw new Refusal(
      `With ${decimals} decimals every number has ${decimals + 1} digits at least.`,
      'Give it more digits.',
    )
  if (limits.ragged !== undefined && new Set(digits).size > 1 !== limits.ragged) return NONE
  const text = (n: number): string => {
    if (decimals === 0) return String(n)
    const whole = String(n).padStart(decimals + 1, '0')
    return `${whole.slice(0, -decimals)}.${whole.slice(-decimals)}`
  }
  const sign = ` ${SIGNS[limits.operation]} `
  const printed = (space: Space): Problems => ({
    count: space.count,
    draw: (random) => space.draw(random).map(text).join(sign),
  })
  const scaleUp = (n: number | undefined): number | undefined => (n === undefined ? n : n * 10 ** decimals)
  const scaled = { ...limits, below: scaleUp(limits.below), makes: scaleUp(limits.makes) } as Limits
  if (limits.operation === 'add' && digits.length > 2) return printed(sumSpace(scaled, digits))
  const two = digits as readonly [number, number]
  if (limits.operation === 'add' || limits.operation === 'subtract') {
    const space = pairSpace(scaled, two)
    const twins = limits.operation === 'add' && two[0] === two[1] && !isTurned(limits)
    return printed(twins ? { ...space, count: (space.count + pairSpace(scaled, two, true).count) / 2n } : space)
  }
  if (two[1] > MOST_BY)
    throw new Refusal(`The second number has at most ${MOST_BY} digits here.`, 'Give the longer one first.')
  if (limits.operation === 'divide') return printed(quotientSpace(limits, two))
  if (limits.carries !== undefined && two[1] > 1)
    throw new Refusal('“carries” is counted where one multiplies by one digit.', 'Give the second number one digit.')
  if (limits.carries !== undefined && limits.below !== undefined)
    throw new Refusal('“carries” and “below” do not go together in multiplying.', 'Leave one of them out.')
  return printed(productSpace(limits, two))
}

/** Whether a problem turned round is another: so it is where the beads go another way. */
export const isTurned = ({ turned, rule }: Limits): boolean => turned === true || rule !== undefined

/** Numbers to be counted out, and two numbers of which one is more. */
function plainProblems({ operation, from = 1, upTo = 10, turned }: Limits): Problems {
  const all = Math.max(0, upTo - from + 1)
  if (operation === 'count') return { count: BigInt(all), draw: (random) => String(between(random, from, upTo)) }
  const pairs = BigInt(all) * BigInt(Math.max(0, all - 1))
  return {
    count: turned ? pairs : pairs / 2n,
    draw(random) {
      const a = between(random, from, upTo)
      const b = between(random, from, upTo - 1)
      return `${a} ? ${b >= a ? b + 1 : b}`
    },
  }
}

function signedProblems({ operation, upTo = 10, turned }: Limits, signs: readonly ('+' | '-')[]): Problems {
  const space = signedSpace(upTo)
  const twins = operation === 'add' && signs[0] === signs[1] && !turned
  const text = (n: number, i: number): string => (signs[i] === '-' ? (i === 0 ? `-${n}` : `(-${n})`) : String(n))
  return {
    count: twins ? (space.count + BigInt(upTo)) / 2n : space.count,
    draw: (random) => space.draw(random).map(text).join(` ${SIGNS[operation]} `),
  }
}

/** Proper fractions in lowest terms or not, as they are met in lessons: there are few enough to be listed. */
function fractionProblems(limits: Limits, bottoms: readonly number[]): Problems {
  const all = [...new Set(bottoms)].flatMap((bottom) =>
    Array.from({ length: bottom - 1 }, (_, i) => ({ top: i + 1, bottom })),
  )
  if (limits.operation === 'rename') return renamedProblems(limits, all)
  if (limits.operation === 'multiply') return timesProblems(limits, all)
  const worth = ({ top, bottom }: (typeof all)[number]): Exact => divide(exact(top), exact(bottom))
  const pairs: string[] = []
  for (const [i, a] of all.entries())
    for (const [k, b] of all.entries()) {
      if (limits.alike !== undefined && (a.bottom === b.bottom) !== limits.alike) continue
      const [x, y] = [worth(a), worth(b)]
      if (limits.operation !== 'subtract' && !limits.turned && k < i) continue
      if (limits.operation === 'compare' && k === i) continue
      if (limits.operation === 'subtract' && compare(x, y) <= 0) continue
      const made = limits.operation === 'subtract' ? add(x, negate(y)) : add(x, y)
      if (limits.below !== undefined && compare(made, exact(limits.below)) >= 0) continue
      pairs.push(`${a.top}/${a.bottom} ${SIGNS[limits.operation]} ${b.top}/${b.bottom}`)
    }
  return listed(pairs)
}

type Fraction = { readonly top: number; readonly bottom: number }

/** A fraction that is to have another name with a greater bottom of the list. */
const renamedProblems = ({ denominators = [] }: Limits, all: readonly Fraction[]): Problems =>
  listed(
    all.flatMap(({ top, bottom }) =>
      [...new Set(denominators)]
        .filter((of) => of > bottom && of % bottom === 0)
        .map((of) => `${top}/${bottom} = ?/${of}`),
    ),
  )

/** A fraction taken several times, from twice on: of each so many as the greatest number and the bound allow. */
function timesProblems({ upTo = 10, below: bound = Infinity }: Limits, all: readonly Fraction[]): Problems {
  const each = all.map(({ top, bottom }) => Math.max(0, Math.min(upTo, Math.ceil((bound * bottom) / top) - 1) - 1))
  const count = each.reduce((sum, n) => sum + n, 0)
  return {
    count: BigInt(count),
    draw(random) {
      let left = Math.min(count - 1, Math.floor(random() * count))
      const at = each.findIndex((n) => (left -= n) < 0)
      const { top, bottom } = all[at]!
      return `${left + each[at]! + 2} * ${top}/${bottom}`
    },
  }
}

/** Few enough to be listed. */
const listed = (texts: readonly string[]): Problems => ({
  count: BigInt(texts.length),
  draw: (random) => texts[Math.min(texts.length - 1, Math.floor(random() * texts.length))]!,
})

/** Exactly how many problems there are within limits. @throws Refusal where limits are unknown or cannot be. */
export const countProblems = (limits: Limits): bigint => problemsOf(checkLimits(limits)).count
