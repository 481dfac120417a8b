import type { RewriteRule, Sum } from '../act/act'
import { add, subtract, ZERO, type Exact } from '../number/exact'
import { parseNumeral, valueOf } from '../number/numeral'
import type { Sign } from '../problem/problem'

const SUM = /^(-?\d+(?:\.\d+)?)((?: [+-] -?\d+(?:\.\d+)?)*)$/

/** One side of a line as a sum; undefined where it is something else. */
export function sumIn(side: string): Sum | undefined {
  const [, first, rest = ''] = SUM.exec(side) ?? []
  if (first === undefined) return undefined
  const number = (text: string): Exact => valueOf(parseNumeral(text))
  const more = [...rest.matchAll(/ ([+-]) (-?\d+(?:\.\d+)?)/g)]
  return [
    { operation: '+', number: number(first) },
    ...more.map((m) => ({ operation: m[1] as Sign, number: number(m[2]!) })),
  ]
}

/** What a sum comes to. */
export const sumWorth = (s: Sum): Exact =>
  s.reduce<Exact>((total, t) => (t.operation === '-' ? subtract : add)(total, t.number), ZERO)

/** By which rule one sum is written as another of the same worth. */
export function ruleOf(left: Sum, right: Sum): RewriteRule {
  if (right.length === 1) return left.some((t) => t.operation === '-') ? 'different-signs' : 'same-signs'
  return left[0]!.number === right[0]!.number ? 'opposite' : 'commute'
}
