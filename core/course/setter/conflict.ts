import type { Limits } from './limits'
import { countProblems } from './problems'

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

const KINDS: readonly (keyof Limits)[] = ['denominators', 'signs', 'rule']

/** Values of a limit from the nearest on; leaving it out comes last. */
function nearerAndNearer(
  limit: keyof Limits,
  value: Limits[keyof Limits],
): readonly (Limits[keyof Limits] | undefined)[] {
  // Without these they would be problems of another kind.
  if (KINDS.includes(limit)) return []
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
