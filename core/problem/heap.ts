import { multiply, toCount } from '../number/exact'
import { numeralOf, valueOf } from '../number/numeral'
import { asksMore, type Group, type Problem } from './problem'

/** So many coins of one value, in the small unit. */
export interface Kind {
  readonly value: number
  readonly count: number
}

/** The most coins that lie in a heap. */
export const MOST_COINS = 60

/** A heap of coins as it is asked: `3 * 25 + 1 * 10`, or `3 * 25` alone; undefined for every other problem. */
export function heapOf(problem: Problem): readonly Kind[] | undefined {
  if (asksMore(problem)) return undefined
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
