import type { Kind } from '../problem/heap'
import { MOST_COINS } from '../problem/heap'
import { Refusal } from '../refusal'
import { between, seeded, type Random } from './random'

/** Heaps of coins set for practice (practice, section 12; common practice, no source). */

/** What a heap should need: any kinds; tens and ones alone; the kind to change once, or three times; the total to pass a whole hundred. */
export const HEAP_RULES = ['any', 'tens-and-ones', 'one-switch', 'three-switches', 'crosses'] as const
export type HeapRule = (typeof HEAP_RULES)[number]

export interface HeapWish {
  /** The coins there are, the greatest first. */
  readonly values: readonly number[]
  readonly rule: HeapRule
  /** What it comes to, and how many coins it has; as it falls, where null. */
  readonly total: number | null
  readonly coins: number | null
  readonly seed: number
}

/** The most that one heap comes to. */
export const LARGEST_HEAP = 1000
/** How many heaps are looked at before there is said to be none, and how many are listed. */
const MOST_TRIED = 200_000
export const MOST_LISTED = 200

/** How many kinds a heap has by its rule, at the least and at the most. */
function kindsBy({ rule, values }: HeapWish): readonly [number, number] {
  if (rule === 'one-switch' || rule === 'tens-and-ones') return [2, 2]
  if (rule === 'three-switches') return [4, 4]
  return [Math.min(2, values.length), Math.min(4, values.length)]
}

/** Whether counting a heap from the greatest kind down passes a hundred with some kind, and does not begin beyond it. */
function crosses(heap: readonly Kind[]): boolean {
  let total = 0
  for (const { value, count } of heap) {
    const before = total
    total += value * count
    if (before > 0 && before < 100 && total > 100) return true
  }
  return false
}

/** A number of things in an order by chance. */
function shuffled<T>(list: readonly T[], random: Random): readonly T[] {
  const left = [...list]
  return list.map(() => left.splice(between(random, 0, left.length - 1), 1)[0]!)
}

/**
 * Every heap of some kinds, with at least one of each, that fits the wish, handed to `found` until it says that it is enough; in an
 * order by chance, if wished. The search is bounded, and tells whether it was cut short.
 */
function search(
  kinds: readonly number[],
  { total, coins }: Pick<HeapWish, 'total' | 'coins'>,
  budget: { left: number },
  order: (counts: readonly number[]) => readonly number[],
  found: (heap: readonly Kind[]) => boolean,
): boolean {
  const most = coins ?? MOST_COINS
  const go = (at: number, chosen: readonly Kind[], sum: number, used: number): boolean => {
    if (budget.left-- <= 0) return true
    if (at === kinds.length) {
      const fits = (total === null || sum === total) && (coins === null || used === coins)
      return fits && sum <= LARGEST_HEAP && found(chosen)
    }
    const value = kinds[at]!
    const after = kinds.length - at - 1
    const room = Math.min(most - used - after, Math.floor(((total ?? LARGEST_HEAP) - sum) / value))
    if (room < 1) return false
    // The last kind has to make what is left.
    if (after === 0 && total !== null) {
      const count = (total - sum) / value
      return Number.isInteger(count) && count <= room && go(at + 1, [...chosen, { value, count }], total, used + count)
    }
    const counts = Array.from({ length: total === null && coins === null ? Math.min(room, 9) : room }, (_, i) => i + 1)
    return order(counts).some((count) => go(at + 1, [...chosen, { value, count }], sum + value * count, used + count))
  }
  return go(0, [], 0, 0)
}

/** Sets of so many kinds, the greatest first in each. */
function setsOf(values: readonly number[], size: number): readonly (readonly number[])[] {
  if (size === 0) return [[]]
  return values.flatMap((value, i) => setsOf(values.slice(i + 1), size - 1).map((rest) => [value, ...rest]))
}

/**
 * A heap by chance that fits a wish; the same seed gives the same heap. @throws Refusal where there is none, or the wish makes no sense.
 */
export function dropHeap(wish: HeapWish): readonly Kind[] {
  const { total, coins, rule, values } = wish
  if (total !== null && (!Number.isInteger(total) || total < 1 || total > LARGEST_HEAP))
    throw new Refusal(`A heap comes to 1 to ${LARGEST_HEAP}.`)
  if (coins !== null && (!Number.isInteger(coins) || coins < 2 || coins > MOST_COINS))
    throw new Refusal(`A heap has 2 to ${MOST_COINS} coins.`)
  if (rule === 'tens-and-ones' && ![10, 1].every((v) => values.includes(v)))
    throw new Refusal('There are no tens and ones among these coins.')
  const random = seeded(wish.seed)
  const [least, most] = kindsBy(wish)
  const from = rule === 'tens-and-ones' ? [10, 1] : values
  const sizes = shuffled(
    Array.from({ length: most - least + 1 }, (_, i) => least + i),
    random,
  )
  const budget = { left: MOST_TRIED }
  let heap: readonly Kind[] | undefined
  for (const kinds of shuffled(
    sizes.flatMap((size) => setsOf(from, size)),
    random,
  )) {
    search(
      kinds,
      wish,
      budget,
      (counts) => shuffled(counts, random),
      (made) => {
        if (rule === 'crosses' && !crosses(made)) return false
        heap = made
        return true
      },
    )
    if (heap) return heap
  }
  throw new Refusal('No heap of these coins is so.', 'Ask for another total, or another number of coins.')
}

/** Which coins so many could be that come to a total; at most so many of the answers, and whether there are more. */
export function whichCoins(
  total: number,
  coins: number,
  values: readonly number[],
): { readonly heaps: readonly (readonly Kind[])[]; readonly more: boolean } {
  const heaps: (readonly Kind[])[] = []
  const budget = { left: MOST_TRIED }
  let more = false
  for (let size = 1; size <= Math.min(values.length, coins) && !more; size++)
    for (const kinds of setsOf(values, size)) {
      search(
        kinds,
        { total, coins },
        budget,
        (counts) => [...counts].reverse(),
        (heap) => {
          if (heaps.length >= MOST_LISTED) more = true
          else heaps.push(heap)
          return more
        },
      )
      if (budget.left <= 0) more = true
      if (more) break
    }
  return { heaps, more }
}
