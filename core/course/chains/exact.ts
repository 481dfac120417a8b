import type { Random } from '../random'
import type { ChainWish } from './wish'
import { classifier } from './classify'

/** A world of totals and numbers small enough to be gone through: from each total, the numbers that may come next. */
export interface World {
  readonly least: number
  readonly greatest: number
  readonly firsts: readonly number[]
  /** From each total (less `least`): the numbers allowed, signed, and how often each uses the lesson of the day. */
  readonly nexts: readonly { readonly by: Int32Array; readonly uses: Uint8Array }[]
  readonly once: boolean
}

/** Lays out a world. */
export function world(wish: ChainWish): World {
  const { least, greatest, digits, signs } = wish
  const [low, high] = [digits === 1 ? 1 : 10 ** (digits - 1), 10 ** digits - 1]
  const classify = classifier(wish)
  const nexts = Array.from({ length: greatest - least + 1 }, (_, i) => {
    const total = least + i
    const [by, uses]: [number[], number[]] = [[], []]
    const put = (n: number): void => {
      const u = classify(total, n)
      if (u < 0) return
      by.push(n)
      uses.push(u)
    }
    if (signs !== '-') for (let n = low; n <= Math.min(high, greatest - total); n++) put(n)
    if (signs !== '+') for (let n = low; n <= Math.min(high, total - least); n++) put(-n)
    return { by: Int32Array.from(by), uses: Uint8Array.from(uses) }
  })
  const firsts: number[] = []
  for (let n = Math.max(low, least); n <= Math.min(high, greatest); n++) firsts.push(n)
  return { least, greatest, firsts, nexts, once: wish.times === 'once' }
}

/** How many ways there are to go on: `[numbers still to come][used already, 0 or 1][total]`. */
export interface Ways {
  readonly on: readonly (readonly [Float64Array, Float64Array])[]
  readonly total: number
}

/** What has been used after a number; −1 where the lesson would come too often. */
const used = (w: World, before: number, more: number): number => {
  const all = before + more
  return w.once ? (all > 1 ? -1 : all) : Math.min(1, all)
}

/** Counts all chains of so many numbers. Whole numbers below 2^53 add up without loss, so a smaller total is exact. */
export function countWays(w: World, terms: number): Ways {
  const size = w.greatest - w.least + 1
  const on: [Float64Array, Float64Array][] = [[new Float64Array(size), new Float64Array(size).fill(1)]]
  for (let left = 1; left < terms; left++) {
    const after = on[left - 1]!
    const here: [Float64Array, Float64Array] = [new Float64Array(size), new Float64Array(size)]
    for (let t = 0; t < size; t++) {
      const { by, uses } = w.nexts[t]!
      let [fresh, done] = [0, 0]
      for (let i = 0; i < by.length; i++) {
        const to = t + by[i]!
        const [u, v] = [used(w, 0, uses[i]!), used(w, 1, uses[i]!)]
        if (u >= 0) fresh += after[u as 0 | 1][to]!
        if (v >= 0) done += after[1][to]!
      }
      here[0][t] = fresh
      here[1][t] = done
    }
    on.push(here)
  }
  const total = w.firsts.reduce((n, first) => n + on[terms - 1]![0][first - w.least]!, 0)
  return { on, total }
}

/** Worlds with so few chains in all are written out and shuffled, so that every one can come. */
const FEW = 3000

/** So many different chains, each as likely as any other; all of them where there are no more. */
export function sample(
  w: World,
  ways: Ways,
  terms: number,
  count: number,
  random: Random,
): readonly (readonly number[])[] {
  if (ways.total <= Math.max(FEW, 2 * count)) return shuffled(everyChain(w, ways, terms), random).slice(0, count)
  const found = new Map<string, readonly number[]>()
  while (found.size < count) {
    const chain = one(w, ways, terms, random)
    found.set(chain.join(), chain)
  }
  return [...found.values()]
}

function one(w: World, ways: Ways, terms: number, random: Random): readonly number[] {
  const start = ways.on[terms - 1]![0]
  let at = random() * ways.total
  const first =
    w.firsts.find((n) => (at -= start[n - w.least]!) < 0) ?? w.firsts.findLast((n) => start[n - w.least]! > 0)!
  const chain = [first]
  let [total, have] = [first - w.least, 0]
  for (let left = terms - 1; left > 0; left--) {
    const { by, uses } = w.nexts[total]!
    const after = ways.on[left - 1]!
    let rest = random() * ways.on[left]![have as 0 | 1][total]!
    let chosen = -1
    for (let i = 0; i < by.length; i++) {
      const u = used(w, have, uses[i]!)
      const many = u < 0 ? 0 : after[u as 0 | 1][total + by[i]!]!
      if (many === 0) continue
      chosen = i
      rest -= many
      if (rest < 0) break
    }
    have = used(w, have, uses[chosen]!)
    total += by[chosen]!
    chain.push(by[chosen]!)
  }
  return chain
}

/** Every chain there is, in order. */
function everyChain(w: World, ways: Ways, terms: number): readonly (readonly number[])[] {
  const all: number[][] = []
  const go = (chain: number[], total: number, have: number): void => {
    const left = terms - chain.length
    if (left === 0) return void all.push([...chain])
    const { by, uses } = w.nexts[total]!
    for (let i = 0; i < by.length; i++) {
      const u = used(w, have, uses[i]!)
      if (u < 0 || ways.on[left - 1]![u as 0 | 1][total + by[i]!] === 0) continue
      go([...chain, by[i]!], total + by[i]!, u)
    }
  }
  for (const first of w.firsts) if (ways.on[terms - 1]![0][first - w.least]! > 0) go([first], first - w.least, 0)
  return all
}

function shuffled<T>(items: readonly T[], random: Random): readonly T[] {
  const all = [...items]
  for (let i = all.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[all[i], all[j]] = [all[j]!, all[i]!]
  }
  return all
}
