import { exact, sign, type Exact } from '../number/exact'
import { heapOf, type Kind } from '../problem/heap'
import { answer, type Problem } from '../problem/problem'
import type { Procedure } from './procedure'

/** Mistaken ways of counting coins (practice, sections 12 and 14; common practice, no source). */

const ofHeap =
  (work: (heap: readonly Kind[]) => readonly number[]) =>
  (problem: Problem): readonly Exact[] => {
    // A single product is no heap to those who multiply: only sums of groups are read so.
    const heap = problem.groups ? heapOf(problem) : undefined
    if (!heap) return []
    const right = answer(problem)
    return [...new Set(work(heap).map((n) => exact(n)))].filter((n) => n !== right && sign(n) >= 0)
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
  answers: ofHeap((heap) => {
    const all = heap.reduce((n, k) => n + k.count, 0)
    return [...keptOn(heap), all * Math.max(...heap.map((k) => k.value))]
  }),
}

export const countsCoins: Procedure = {
  id: 'counts-coins',
  name: 'counted the coins instead of their value',
  answers: ofHeap((heap) => [heap.reduce((n, k) => n + k.count, 0)]),
}

const total = (heap: readonly Kind[]): number => heap.reduce((n, k) => n + k.count * k.value, 0)

export const coinTwice: Procedure = {
  id: 'coin-twice',
  name: 'counted a coin twice',
  answers: ofHeap((heap) => heap.map((k) => total(heap) + k.value)),
}
export const coinLeftOut: Procedure = {
  id: 'coin-left-out',
  name: 'left a coin out',
  answers: ofHeap((heap) => heap.map((k) => total(heap) - k.value)),
}
