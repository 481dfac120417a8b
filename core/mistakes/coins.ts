import { DEFAULT_CHOICES } from '../choices'
import { exact } from '../number/exact'
import { currencyOf, type Currency } from '../number/money'
import { heapOf, type Kind } from '../problem/heap'
import { comingTo, type Procedure } from './procedure'

/** Mistaken ways of counting coins (practice, sections 12 and 14; common practice, no source). */

const ofHeap =
  (work: (heap: readonly Kind[], money: Currency) => readonly number[]): Procedure['computes'] =>
  (problem, choices = DEFAULT_CHOICES) => {
    // A single product is no heap to those who multiply: only sums of groups are read so.
    const heap = problem.groups ? heapOf(problem) : undefined
    return heap ? comingTo(work(heap, currencyOf(choices.money)).map((n) => (n < 0 ? null : exact(n)))) : []
  }

/** What a heap comes to where one keeps on by the value of some kind when the next begins. */
function keptOn(heap: readonly Kind[]): readonly number[] {
  const kinds = [...heap].sort((a, b) => b.value - a.value)
  return kinds.slice(1).map((_, at) => {
    let total = 0
    kinds.forEach((k, i) => (total += k.count * (i <= at ? k.value : i === at + 1 ? kinds[at]!.value : k.value)))
    return total
  })
}

export const keepsLast: Procedure = {
  id: 'keeps-last',
  name: 'kept counting by the last value',
  computes: ofHeap((heap) => {
    const all = heap.reduce((n, k) => n + k.count, 0)
    return [...keptOn(heap), all * Math.max(...heap.map((k) => k.value))]
  }),
}

export const countsCoins: Procedure = {
  id: 'counts-coins',
  name: 'counted the coins instead of their value',
  computes: ofHeap((heap) => [heap.reduce((n, k) => n + k.count, 0)]),
}

const total = (heap: readonly Kind[]): number => heap.reduce((n, k) => n + k.count * k.value, 0)

export const coinTwice: Procedure = {
  id: 'coin-twice',
  name: 'counted a coin twice',
  computes: ofHeap((heap) => heap.map((k) => total(heap) + k.value)),
}
export const coinLeftOut: Procedure = {
  id: 'coin-left-out',
  name: 'left a coin out',
  computes: ofHeap((heap) => heap.map((k) => total(heap) - k.value)),
}

/** Whether a coin of less value is the larger one to the eye. */
export function looksMore({ coins }: Currency, less: number, more: number): boolean {
  const across = (value: number): number | undefined => coins.find((c) => c.value === value)?.across
  const [a, b] = [across(less), across(more)]
  return less < more && a !== undefined && b !== undefined && a > b
}

/** Two kinds taken for each other, the larger coin for the one of more value. */
export const largerForMore: Procedure = {
  id: 'larger-for-more',
  name: 'took the larger coin for the one of more value',
  computes: ofHeap((heap, money) =>
    heap.flatMap((less) =>
      heap
        .filter((more) => looksMore(money, less.value, more.value))
        .map((more) => total(heap) + (less.count - more.count) * (more.value - less.value)),
    ),
  ),
}
