import { add, compare, divide, exact, negate, type Exact } from '../../number/exact'
import { parseProblem } from '../../problem/parse'
import { printProblem } from '../../problem/problem'
import { Refusal } from '../../refusal'
import { seeded, type Random } from '../random'
import { differenceSpace, sumSpace, type Space } from './columns'
import { featuresIn } from './features'
import { checkLimits, type Limits } from './limits'
import { productSpace, quotientSpace, signedSpace } from './products'

/** Numbers of two digits each, unless limits say otherwise; of a multiplication or division the second has one. */
const usualDigits = ({ operation, addends = 2 }: Limits): readonly number[] =>
  operation === 'multiply' || operation === 'divide' ? [2, 1] : new Array<number>(addends).fill(2)

const SIGNS = { add: '+', subtract: '-', multiply: '*', divide: '/' } as const

/** Problems of some limits: how many, and one of them drawn by chance. */
interface Problems {
  readonly count: bigint
  draw(random: Random): string
}
const NONE: Problems = { count: 0n, draw: () => '' }

const MOST_BY = 3

function problemsOf(limits: Limits): Problems {
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
  const scaled = limits.below === undefined ? limits : { ...limits, below: limits.below * 10 ** decimals }
  if (limits.operation === 'add') {
    const space = sumSpace(scaled, digits)
    const twins = digits.length === 2 && digits[0] === digits[1] && !limits.turned
    return printed(twins ? { ...space, count: (space.count + sumSpace(scaled, digits, true).count) / 2n } : space)
  }
  const two = digits as readonly [number, number]
  if (limits.operation === 'subtract') return printed(differenceSpace(scaled, two))
  if (two[1] > MOST_BY)
    throw new Refusal(`The second number has at most ${MOST_BY} digits here.`, 'Give the longer one first.')
  if (limits.operation === 'divide') return printed(quotientSpace(limits, two))
  if (limits.carries !== undefined && two[1] > 1)
    throw new Refusal('“carries” is counted where one multiplies by one digit.', 'Give the second number one digit.')
  if (limits.carries !== undefined && limits.below !== undefined)
    throw new Refusal('“carries” and “below” do not go together in multiplying.', 'Leave one of them out.')
  return printed(productSpace(limits, two))
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
  if (limits.operation !== 'add' && limits.operation !== 'subtract') return NONE
  const all = [...new Set(bottoms)].flatMap((bottom) =>
    Array.from({ length: bottom - 1 }, (_, i) => ({ top: i + 1, bottom })),
  )
  const worth = ({ top, bottom }: (typeof all)[number]): Exact => divide(exact(top), exact(bottom))
  const pairs: string[] = []
  for (const [i, a] of all.entries())
    for (const [k, b] of all.entries()) {
      if (limits.alike !== undefined && (a.bottom === b.bottom) !== limits.alike) continue
      const [x, y] = [worth(a), worth(b)]
      if (limits.operation === 'add' && !limits.turned && k < i) continue
      if (limits.operation === 'subtract' && compare(x, y) <= 0) continue
      const made = limits.operation === 'add' ? add(x, y) : add(x, negate(y))
      if (limits.below !== undefined && compare(made, exact(limits.below)) >= 0) continue
      pairs.push(`${a.top}/${a.bottom} ${SIGNS[limits.operation]} ${b.top}/${b.bottom}`)
    }
  return {
    count: BigInt(pairs.length),
    draw: (random) => pairs[Math.min(pairs.length - 1, Math.floor(random() * pairs.length))]!,
  }
}

/** Exactly how many problems there are within limits. @throws Refusal where limits are unknown or cannot be. */
export const countProblems = (limits: Limits): bigint => problemsOf(checkLimits(limits)).count

/** What is to be set. */
export interface SetWish {
  readonly limits: Limits
  /** How many, 1 to 60. */
  readonly count: number
  readonly seed: number
  /** Problems that are not to be set: what a learner has had lately. */
  readonly without?: readonly string[]
  /** Evenly over what makes problems differ (which columns exchange, how long numbers are), rather than as chance has it. */
  readonly spread?: boolean
  /** The hardest last. */
  readonly hardestLast?: boolean
}

export const MOST_SET = 60
/** So many are drawn for each that is wanted, so that there is something to spread over. */
const DRAWN = 6

/** The same problem turned round has the same key, unless it counts as another. */
function twinKey(text: string, { operation, turned }: Limits): string {
  if (turned || (operation !== 'add' && operation !== 'multiply')) return text
  const sign = ` ${SIGNS[operation]} `
  return text.split(sign).sort().join(sign)
}

/** Problems within limits, no two alike; the same seed gives the same ones. Fewer than wanted where there are no more. @throws Refusal where limits are unknown or cannot be, or leave none. */
export function setProblems({
  limits,
  count,
  seed,
  without = [],
  spread = true,
  hardestLast = false,
}: SetWish): readonly string[] {
  const problems = problemsOf(checkLimits(limits))
  if (problems.count === 0n) throw new Refusal('There are no such problems.', 'Loosen a limit.')
  const wanted = Math.min(MOST_SET, Math.max(1, Math.round(count)))
  const random = seeded(seed)
  const used = new Set(without.map((text) => twinKey(normal(text), limits)))
  const drawn = new Map<string, string>()
  const met = new Set<string>()
  /** Once all there are have been met there is nothing more to draw. */
  const more = (): boolean => drawn.size < wanted * DRAWN && BigInt(met.size) < problems.count
  for (let tries = 0; tries < wanted * DRAWN * 8 && more(); tries++) {
    const text = problems.draw(random)
    const key = twinKey(text, limits)
    met.add(key)
    if (!used.has(key) && !drawn.has(key)) drawn.set(key, text)
  }
  const all = [...drawn.values()]
  const chosen = limits.lookAlike ? alikeFirst(all, wanted) : spread ? evenly(all, wanted) : all.slice(0, wanted)
  return hardestLast ? [...chosen].sort((a, b) => featuresIn(a).hardness - featuresIn(b).hardness) : chosen
}

/** A text as the setter writes it; what cannot be read stays as it is. */
function normal(text: string): string {
  try {
    return printProblem(parseProblem(text)).replace(/ ([+-]) -(\d+)/g, ' $1 (-$2)')
  } catch {
    return text
  }
}

/** One from each kind in turn, so that no kind of problem crowds out the others. */
function evenly(all: readonly string[], wanted: number): readonly string[] {
  const kinds = new Map<string, string[]>()
  for (const text of all) {
    const { kind } = featuresIn(text)
    kinds.set(kind, [...(kinds.get(kind) ?? []), text])
  }
  const lists = [...kinds.values()]
  const chosen: string[] = []
  for (let turn = 0; chosen.length < wanted && lists.some((list) => list.length > turn); turn++)
    for (const list of lists) if (list[turn] !== undefined && chosen.length < wanted) chosen.push(list[turn]!)
  return chosen
}

/** Whether two numbers are easily taken for each other: the same digits in another order, or all but one the same. */
export function looksAlike(a: string, b: string): boolean {
  if (a === b || a.length !== b.length) return false
  const differ = [...a].filter((c, i) => c !== b[i]).length
  return differ === 1 || [...a].sort().join('') === [...b].sort().join('')
}

/** Problems whose first numbers look like one another, the largest such family first. */
function alikeFirst(all: readonly string[], wanted: number): readonly string[] {
  const firstOf = (text: string): string => text.split(' ')[0]!
  const families = all.map((text) => [text, ...all.filter((other) => looksAlike(firstOf(text), firstOf(other)))])
  families.sort((a, b) => b.length - a.length)
  const chosen = new Set<string>()
  for (const family of families) {
    if (family.length < 2) break
    for (const text of family) if (chosen.size < wanted) chosen.add(text)
  }
  for (const text of all) if (chosen.size < wanted) chosen.add(text)
  return [...chosen]
}

/** Why limits leave nothing: the two that conflict, and the smallest change of one of them that leaves some. */
export interface Conflict {
  readonly between: readonly (keyof Limits)[]
  readonly change: {
    readonly limit: keyof Limits
    readonly to: Limits[keyof Limits] | undefined
    readonly leaves: bigint
  } | null
}

/** What of some limits conflicts, where they leave no problem; null where they leave some. @throws Refusal where they cannot be. */
export function conflictIn(limits: Limits): Conflict | null {
  if (countProblems(limits) > 0n) return null
  const names = (Object.keys(limits) as (keyof Limits)[]).filter(
    (name) => name !== 'operation' && limits[name] !== undefined,
  )
  const counted = (change: Partial<Limits>): bigint => {
    try {
      return countProblems({ ...limits, ...change })
    } catch {
      return 0n
    }
  }
  const only = (kept: readonly (keyof Limits)[]): bigint =>
    counted(Object.fromEntries(names.filter((n) => !kept.includes(n) && n !== 'digits').map((n) => [n, undefined])))
  const pairs = names.flatMap((a, i) => [[a], ...names.slice(i + 1).map((b) => [a, b])]) as (keyof Limits)[][]
  const alone = pairs.sort((a, b) => a.length - b.length).find((pair) => only(pair) === 0n) ?? names
  // Digits go with every limit. Where one alone conflicts, and would not with the usual digits, it is they that it conflicts with.
  const withDigits = alone.length === 1 && alone[0] !== 'digits' && names.includes('digits')
  const usual = Object.fromEntries(names.filter((n) => n !== alone[0]).map((n) => [n, undefined]))
  const between: (keyof Limits)[] = withDigits && counted(usual) > 0n ? ['digits', ...alone] : [...alone]
  // Digits are changed last: what else was asked for says more of the step.
  const changes = [...alone, ...between.filter((limit) => !alone.includes(limit))].flatMap((limit) => {
    const values = limit === 'below' ? [leastBelow(limits.below!, counted)] : nearerAndNearer(limit, limits[limit])
    return values.map((to) => ({ limit, to }))
  })
  const found = changes.find(({ limit, to }) => counted({ [limit]: to }) > 0n)
  return { between, change: found ? { ...found, leaves: counted({ [found.limit]: found.to }) } : null }
}

/** The least bound that leaves some: whatever is below one bound is below every greater one. */
function leastBelow(below: number, counted: (change: Partial<Limits>) => bigint): number | undefined {
  let [none, some] = [below, 1_000_000_000]
  if (counted({ below: some }) === 0n) return undefined
  while (some - none > 1) {
    const middle = Math.floor((none + some) / 2)
    if (counted({ below: middle }) > 0n) some = middle
    else none = middle
  }
  return some
}

/** Numbers of digits that differ in one number, by one, then by two and so on. */
const otherDigits = (digits: readonly number[]): readonly (readonly number[])[] =>
  Array.from({ length: 8 }, (_, i) => i + 1).flatMap((by) =>
    digits.flatMap((d, at) => [d + by, d - by].filter((n) => n >= 1 && n <= 9).map((n) => digits.with(at, n))),
  )

/** Values of a limit from the nearest on; leaving it out comes last. */
function nearerAndNearer(
  limit: keyof Limits,
  value: Limits[keyof Limits],
): readonly (Limits[keyof Limits] | undefined)[] {
  if (typeof value === 'boolean') return [!value, undefined]
  if (limit === 'digits' && Array.isArray(value)) return otherDigits(value as readonly number[])
  if (typeof value === 'number')
    return [
      ...Array.from({ length: 9 }, (_, i) => [value - i - 1, value + i + 1])
        .flat()
        .filter((n) => n >= 0 && n <= 9),
      undefined,
    ]
  return [undefined]
}
