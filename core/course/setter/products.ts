import { between, type Random } from '../random'
import type { Space } from './columns'
import { rangeOf, type Limits } from './limits'

/** Multiplying and dividing, counted by the smaller number in turn: for each by a formula, or by digits where carries are limited. */

const first = (digits: number): number => (digits === 1 ? 2 : 10 ** (digits - 1))
const numbers = (from: number, to: number): readonly number[] =>
  Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i)
const last = (digits: number): number => 10 ** digits - 1

/** A list of stretches to draw from: for each number `by` so many others, and which the n-th of them is. */
interface Stretch {
  readonly by: number
  readonly count: number
  at(n: number): number
}

function spaceOf(stretches: readonly Stretch[], pair: (by: number, other: number) => readonly number[]): Space {
  const count = stretches.reduce((all, s) => all + s.count, 0)
  return {
    count: BigInt(count),
    draw(random: Random) {
      let left = Math.min(count - 1, Math.floor(random() * count))
      for (const { by, count, at } of stretches) {
        if (left < count) return pair(by, at(left))
        left -= count
      }
      return []
    },
  }
}

/** Numbers of so many digits which, times `by`, are carried in so many columns; `n`-th of them found by its digits. */
function carried(digits: number, by: number, [least, most]: readonly [number, number], lowest: number): Stretch {
  // From the ones up: what is carried in, and how often something has been.
  const known = new Map<string, number>()
  const ways = (at: number, carry: number, times: number): number => {
    if (times > most) return 0
    if (at === digits) return times >= least ? 1 : 0
    const key = `${at},${carry},${times}`
    const before = known.get(key)
    if (before !== undefined) return before
    let all = 0
    for (let d = at === digits - 1 ? lowest : 0; d <= 9; d++) {
      const over = Math.floor((d * by + carry) / 10)
      all += ways(at + 1, over, times + (over > 0 ? 1 : 0))
    }
    known.set(key, all)
    return all
  }
  return {
    by,
    count: ways(0, 0, 0),
    at(n) {
      let [left, carry, times, value] = [n, 0, 0, 0]
      for (let at = 0; at < digits; at++)
        for (let d = at === digits - 1 ? lowest : 0; d <= 9; d++) {
          const over = Math.floor((d * by + carry) / 10)
          const share = ways(at + 1, over, times + (over > 0 ? 1 : 0))
          if (left >= share) {
            left -= share
            continue
          }
          value += d * 10 ** at
          carry = over
          times += over > 0 ? 1 : 0
          break
        }
      return value
    },
  }
}

/** Products: the number multiplied first, then by what. */
export function productSpace(limits: Limits, [top, by]: readonly [number, number]): Space {
  const stretches: Stretch[] = []
  for (let b = first(by); b <= last(by); b++) {
    if (limits.by && !limits.by.includes(b)) continue
    if (limits.carries !== undefined) {
      const stretch = carried(top, b, rangeOf(limits.carries, 9), top === 1 ? 2 : 1)
      if (limits.below === undefined) stretches.push(stretch)
      continue
    }
    const turned = limits.turned || top !== by
    const from = turned || limits.by ? first(top) : b
    const to = limits.below === undefined ? last(top) : Math.min(last(top), Math.floor((limits.below - 1) / b))
    if (limits.by && !turned) {
      // Of two that are turned round, both by numbers of the list, the one by the lesser stands.
      const left = numbers(from, to).filter((n) => n >= b || !limits.by!.includes(n))
      stretches.push({ by: b, count: left.length, at: (n) => left[n]! })
      continue
    }
    stretches.push({ by: b, count: Math.max(0, to - from + 1), at: (n) => from + n })
  }
  return spaceOf(stretches, (b, a) => [a, b])
}

/** Divisions with a whole quotient of at least one. */
export function quotientSpace(limits: Limits, [top, by]: readonly [number, number]): Space {
  const stretches: Stretch[] = []
  for (let d = first(by); d <= last(by); d++) {
    if (limits.by && !limits.by.includes(d)) continue
    const from = Math.max(10 ** (top - 1), d)
    const to = Math.min(last(top), limits.below === undefined ? last(top) : d * limits.below - 1)
    const all = Math.max(0, to - from + 1)
    const lowest = Math.ceil(from / d)
    const even = Math.max(0, Math.floor(to / d) - lowest + 1)
    if (limits.remainder === undefined) stretches.push({ by: d, count: all, at: (n) => from + n })
    else if (!limits.remainder) stretches.push({ by: d, count: all === 0 ? 0 : even, at: (n) => (lowest + n) * d })
    else stretches.push({ by: d, count: all === 0 ? 0 : all - even, at: (n) => oddOne(from, d, n) })
  }
  return spaceOf(stretches, (d, a) => [a, d])
}

/** The n-th number from `from` on that `d` does not go into. */
function oddOne(from: number, d: number, n: number): number {
  const rest = from % d
  // Numbers before the next multiple, then d − 1 of every d.
  const before = rest === 0 ? 0 : d - rest
  if (n < before) return from + n
  const start = rest === 0 ? from : from + before
  const left = n - before
  return start + Math.floor(left / (d - 1)) * d + (left % (d - 1)) + 1
}

/** Numbers of either sign, up to so much. */
export function signedSpace(upTo: number): Space {
  return {
    count: BigInt(upTo * upTo),
    draw: (random) => [between(random, 1, upTo), between(random, 1, upTo)],
  }
}
