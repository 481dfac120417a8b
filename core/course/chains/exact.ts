import type { Random } from '../random'
import type { ChainWish } from './wish'
import { classifier } from './classify'

/** A world of totals and numbers small enough to be gone through: from each total, the numbers that may come next. */
export interface World {
  readonly least: number
  readonly greatest: number
  readonly firsts: readonly number[]
  /** From each total (less `least`): the numbers allowed, signed. */
  readonly nexts: readonly Int32Array[]
  /** The greatest number there is. */
  readonly most: number
  /** How often a number uses the lesson of the day, at `total * (2 * most + 1) + number + most`; −1 where it is not allowed. */
  readonly uses: Int8Array
  readonly once: boolean
  /** Whether a number may take back the one before it. */
  readonly undoing: boolean
}

/** Lays out a world. */
export function world(wish: ChainWish): World {
  const { least, greatest, digits, signs, undoing } = wish
  const [low, most] = [10 ** (digits - 1), 10 ** digits - 1]
  const classify = classifier(wish)
  const span = 2 * most + 1
  const uses = new Int8Array((greatest - least + 1) * span).fill(-1)
  const nexts = Array.from({ length: greatest - least + 1 }, (_, i) => {
    const total = least + i
    const by: number[] = []
    const put = (n: number): void => {
      const u = classify(total, n)
      if (u < 0) return
      by.push(n)
      uses[i * span + n + most] = u
    }
    if (signs !== '-') for (let n = low; n <= Math.min(most, greatest - total); n++) put(n)
    if (signs !== '+') for (let n = low; n <= Math.min(most, total - least); n++) put(-n)
    return Int32Array.from(by)
  })
  const firsts: number[] = []
  for (let n = Math.max(low, least); n <= Math.min(most, greatest); n++) firsts.push(n)
  return { least, greatest, firsts, nexts, most, uses, once: wish.times === 'once', undoing }
}

/** How often a number uses the lesson at a total (less `least`); −1 where it is not allowed there. */
const usesOf = (w: World, total: number, by: number): number => w.uses[total * (2 * w.most + 1) + by + w.most]!

/** How many chains there are, and how many ways on from anywhere in one: see `After.ways`. */
export interface Ways {
  readonly after: (left: number, have: number, total: number, last: number) => number
  readonly total: number
}

/** What has been used after a number; −1 where the lesson would come too often. */
const used = (w: World, before: number, more: number): number => {
  const all = before + more
  return w.once ? (all > 1 ? -1 : all) : Math.min(1, all)
}

/**
 * How many ways there are to go on from a total once `last` has been added to it, with so many numbers still to come. Where
 * nothing may be taken back, of all ways on from there those are left out that begin by taking back `last`; and of these only
 * those were counted that do not take back in their turn. Never below nought, also where sums are rounded: a sum of such counts
 * is at least as great as each of them.
 */
class After {
  readonly on: Float64Array[][] = []
  /** The counts of one level, as far as they are held: `have`, then as `World.uses`. */
  private held: { readonly left: number; readonly ways: readonly Float64Array[] } = { left: -1, ways: [] }
  constructor(private readonly w: World) {}

  ways(left: number, have: number, total: number, last: number): number {
    if (left === this.held.left) return this.held.ways[have]![total * (2 * this.w.most + 1) + last + this.w.most]!
    const all = this.on[left]![have]![total]!
    if (this.w.undoing || left === 0 || all === 0) return all
    const uses = usesOf(this.w, total, -last)
    const then = uses < 0 ? -1 : used(this.w, have, uses)
    return then < 0 ? all : all - this.ways(left - 1, then, total - last, -last)
  }

  /** Holds one level, told from the one held before: each way there then costs one look, not one for every number to come. */
  hold(left: number): void {
    const { nexts, most, uses, undoing } = this.w
    if (undoing) return
    const ways = [new Float64Array(uses.length), new Float64Array(uses.length)]
    for (const [t, bys] of nexts.entries())
      for (const by of bys)
        for (const have of [0, 1])
          ways[have]![(t + by) * (2 * most + 1) + by + most] = this.ways(left, have, t + by, by)
    this.held = { left, ways }
  }

  /** Lets go of what is held. */
  letGo(): void {
    this.held = { left: -1, ways: [] }
  }
}

/** Counts all chains of so many numbers. Whole numbers below 2^53 add up without loss, so a smaller total is exact. */
export function countWays(w: World, terms: number): Ways {
  const size = w.greatest - w.least + 1
  const after = new After(w)
  after.on.push([new Float64Array(size), new Float64Array(size).fill(1)])
  for (let left = 1; left < terms; left++) {
    if (left > 1) after.hold(left - 1)
    const here = [new Float64Array(size), new Float64Array(size)]
    for (const [t, bys] of w.nexts.entries())
      for (const by of bys) {
        const uses = usesOf(w, t, by)
        const [u, v] = [used(w, 0, uses), used(w, 1, uses)]
        if (u >= 0) here[0]![t]! += after.ways(left - 1, u, t + by, by)
        if (v >= 0) here[1]![t]! += after.ways(left - 1, v, t + by, by)
      }
    after.on.push(here)
  }
  after.letGo()
  const ways = (left: number, have: number, total: number, last: number): number => after.ways(left, have, total, last)
  const total = w.firsts.reduce((n, first) => n + ways(terms - 1, 0, first - w.least, first), 0)
  return { after: ways, total }
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

/** One number that may come next: how often the lesson has come then, and how many ways lead on from there. */
interface Next {
  readonly by: number
  readonly have: number
  readonly ways: number
}

/** The numbers that lead to a whole chain, after a total that `last` has led to. */
function openNexts(
  w: World,
  { after }: Ways,
  left: number,
  have: number,
  total: number,
  last: number,
): readonly Next[] {
  const open: Next[] = []
  for (const by of w.nexts[total]!) {
    if (!w.undoing && by === -last) continue
    const then = used(w, have, usesOf(w, total, by))
    const ways = then < 0 ? 0 : after(left - 1, then, total + by, by)
    if (ways > 0) open.push({ by, have: then, ways })
  }
  return open
}

/** The numbers that a chain may begin with. */
const openFirsts = (w: World, { after }: Ways, terms: number): readonly Next[] =>
  w.firsts.map((by) => ({ by, have: 0, ways: after(terms - 1, 0, by - w.least, by) })).filter((next) => next.ways > 0)

/** One of them by chance, each as likely as it has ways on. */
function draw(open: readonly Next[], random: Random): Next {
  let rest = random() * open.reduce((n, { ways }) => n + ways, 0)
  return open.find(({ ways }) => (rest -= ways) < 0) ?? open.at(-1)!
}

function one(w: World, ways: Ways, terms: number, random: Random): readonly number[] {
  let next = draw(openFirsts(w, ways, terms), random)
  const chain = [next.by]
  let total = next.by - w.least
  for (let left = terms - 1; left > 0; left--) {
    next = draw(openNexts(w, ways, left, next.have, total, next.by), random)
    chain.push(next.by)
    total += next.by
  }
  return chain
}

/** Every chain there is, in order. */
function everyChain(w: World, ways: Ways, terms: number): readonly (readonly number[])[] {
  const all: number[][] = []
  const go = (chain: readonly number[], total: number, have: number): void => {
    const left = terms - chain.length
    if (left === 0) return void all.push([...chain])
    for (const next of openNexts(w, ways, left, have, total, chain.at(-1)!))
      go([...chain, next.by], total + next.by, next.have)
  }
  for (const first of openFirsts(w, ways, terms)) go([first.by], first.by - w.least, 0)
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
