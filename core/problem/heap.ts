import { isWhole, multiply, sign, toCount } from '../number/exact'
import { valuesOf, type MoneyChoices } from '../number/money'
import { numeralOf, valueOf } from '../number/numeral'
import type { Group, Problem } from './problem'

/** So many coins of one value, in the small unit. */
export interface Kind {
  readonly value: number
  readonly count: number
}

/** The most coins that lie in a heap. */
export const MOST_COINS = 60

/** What a heap is held against, where it is asked whether it is enough; null where that is not asked. */
export function priceOf({ groups, others }: Problem): number | null {
  const [price, more] = others ?? []
  if (!groups || !price || more || price.terms.length > 0) return null
  const amount = valueOf(price.first)
  return isWhole(amount) && sign(amount) >= 0 ? toCount(amount) : null
}

/** What a problem is paid with, by value, the greatest first: the coins of a class without those that are not there. */
export const kindsFor = ({ without = [] }: Problem, money: MoneyChoices): readonly number[] =>
  valuesOf(money).filter((value) => !without.includes(value))

/** A heap of coins as it is asked: `3 * 25 + 1 * 10`, `3 * 25` alone, or `3 * 25 ? 60`; undefined for every other problem. */
export function heapOf(problem: Problem): readonly Kind[] | undefined {
  if (problem.named || (problem.others && priceOf(problem) === null)) return undefined
  const kind = ({ count, size }: Group): Kind => ({ value: toCount(valueOf(size)), count: toCount(valueOf(count)) })
  if (problem.groups) return problem.groups.map(kind)
  const [term, more] = problem.terms
  if (!term || more || term.operation !== '*') return undefined
  const whole = [problem.first, term.number].every((n) => n.form === 'places' && n.decimals === 0 && !n.negative)
  return whole ? [kind({ count: problem.first, size: term.number })] : undefined
}

/** A heap as a problem: a sum of equal groups, in the order given. */
export function heapProblem(kinds: readonly Kind[]): Problem {
  const groups = kinds.map(({ count, value }): Group => ({ count: numeral(count), size: numeral(value) }))
  const [first, ...rest] = groups.map((g) => numeralOf(multiply(valueOf(g.count), valueOf(g.size))))
  return { first: first!, terms: rest.map((number) => ({ operation: '+' as const, number })), groups }
}

/** A heap as it is typed: `3 * 25 + 1 * 10`. */
export const heapText = (kinds: readonly Kind[]): string => kinds.map((k) => `${k.count} * ${k.value}`).join(' + ')

const numeral = (n: number) => ({ form: 'places' as const, negative: false, digits: String(n), decimals: 0 })
