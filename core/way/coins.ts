import { holds, piecesAct, type Act } from '../act/act'
import { isRead, owing, stepsOf, type Standing } from '../act/standing'
import { relationOf } from '../number/fractions'
import { fewestCoins, someOf } from '../number/money'
import { compare, exact, isWhole, sign, toCount, type Exact } from '../number/exact'
import { valueOf } from '../number/numeral'
import type { Pieces } from '../number/units'
import { heapOf, heapProblem, kindsFor, MOST_COINS, priceOf, type Kind } from '../problem/heap'
import { isChain, type Problem } from '../problem/problem'
import { inTurn } from './inTurn'
import type { Way } from './way'

/** Counting coins (practice, section 12; common practice, no source). */

/** The greatest first; kinds that come twice are counted together. */
const sorted = (heap: readonly Kind[]): readonly Kind[] =>
  [...new Set(heap.map((k) => k.value))]
    .sort((a, b) => b - a)
    .map((value) => ({ value, count: heap.reduce((n, k) => n + (k.value === value ? k.count : 0), 0) }))
    .filter((k) => k.count > 0)

/** The kind that is being counted: that of the number begun last. */
const kindNow = (problem: Problem, s: Standing): number => heapOf(problem)?.[s.begun - 1]?.value ?? 1

const coin = (kind: 'lay' | 'join', value: number, count = 1): Act => piecesAct(kind, [{ count, unit: exact(value) }])

/** One number after another, each in coins of its kind: `count` of them at a time. Where the kind changes, that is asked. */
function counting(problem: Problem, s: Standing, count: (left: number) => number): Act | null {
  const value = kindNow(problem, s)
  const left = (): number => Math.floor(toCount(owing(s)) / value)
  const asked = inTurn(
    problem,
    s,
    () => coin('lay', value, count(left())),
    () => (sign(owing(s)) > 0 && left() > 0 ? coin('join', value, count(left())) : null),
  )
  const price = priceOf(problem)
  if (price !== null && (asked === null || asked.kind === 'read')) return enough(exact(price), s)
  if (asked?.kind !== 'pose') return asked
  const next = heapOf(problem)?.[s.begun]
  return next ? { ...asked, pieces: [{ count: next.count, unit: exact(next.value) }] } : asked
}

/** What has been counted, held against what it should pay; null where that has been said. */
const enough = (price: Exact, s: Standing): Act | null =>
  s.compared && holds(s.compared)
    ? null
    : { kind: 'compare', numbers: [s.value, price], relations: [relationOf(s.value, price)] }

/** A heap in another order, held against the same. */
const inOrder = ({ others }: Problem, heap: readonly Kind[]): Problem => ({
  ...heapProblem(heap),
  ...(others ? { others } : {}),
})

/** Every coin of a heap; of one too large to be counted out, the first of them, which are too many already. */
const coinsIn = (heap: readonly Kind[]): readonly number[] =>
  heap.flatMap((k) => new Array<number>(Math.min(k.count, MOST_COINS + 1)).fill(k.value))

/** Coins that make a whole hundred go before the others, so that the hundreds are counted first. */
function wholesFirst(heap: readonly Kind[]): readonly Kind[] {
  let left = sorted(heap)
  const first: Kind[] = []
  for (;;) {
    const found = someOf(100, coinsIn(left))
    if (!found) return [...first, ...left]
    first.push(...sorted(found.map((value) => ({ value, count: 1 }))))
    left = sorted([...left, ...found.map((value) => ({ value, count: -1 }))])
  }
}

export const sortAndCount: Way = {
  id: 'sort-and-count',
  title: 'sort, then count on',
  school: 'The greatest first; count on by that coin, and stop where the kind changes: 75 … now tens: 85.',
  at: 'Coins, where each one that is counted moves over and stays seen.',
  sort: 'coins',
  suits: (p) => heapOf(p) !== undefined,
  arrange: (p) => inOrder(p, sorted(heapOf(p)!)),
  next: (problem, s) => counting(problem, s, () => 1),
}

export const pairsFirst: Way = {
  id: 'pairs-first',
  title: 'make hundreds first',
  school: 'Coins that make a whole hundred are put together first, then the rest is counted on.',
  at: 'A heap with several ways to a hundred: fewer steps to keep in the head.',
  sort: 'coins',
  suits: (p) => {
    const coins = coinsIn(heapOf(p) ?? [])
    return coins.length <= MOST_COINS && someOf(100, coins) !== undefined
  },
  arrange: (p) => inOrder(p, wholesFirst(heapOf(p)!)),
  next: (problem, s) => counting(problem, s, () => 1),
}

export const stackAndAdd: Way = {
  id: 'stack-and-add',
  title: 'stack and add',
  school: 'All coins of a kind in one stack: what each stack is worth is written, and all are added.',
  at: 'The second method, beside the column sheet: both must come to the same.',
  sort: 'coins',
  suits: (p) => heapOf(p) !== undefined,
  arrange: (p) => inOrder(p, sorted(heapOf(p)!)),
  next: (problem, s) => counting(problem, s, (left) => left),
}

const piecesOfCoins = (coins: readonly number[]): readonly Pieces[] =>
  sorted(coins.map((value) => ({ value, count: 1 }))).map(({ value, count }) => ({ count, unit: exact(value) }))

export const payFewest: Way = {
  id: 'pay-fewest',
  title: 'count out the amount, largest coins first',
  school: 'As few coins as make the amount, the largest first; several amounts are counted out one after another.',
  at: 'Coins from the till, to the very amount.',
  sort: 'coins',
  suits: (p) => isChain(p) && p.terms.every((t) => t.operation === '+') && isWhole(valueOf(p.first)),
  next: (problem, s, choices) => {
    /** One price is counted out coin by coin; of several, each is laid down as a whole. */
    const next = (kind: 'lay' | 'join'): Act => {
      const coins = fewestCoins(toCount(owing(s)), kindsFor(problem, choices.money)) ?? [1]
      const [greatest = 1] = coins
      return problem.terms.length === 0 ? coin(kind, greatest) : piecesAct(kind, piecesOfCoins(coins))
    }
    return inTurn(
      problem,
      s,
      () => next('lay'),
      () => (sign(owing(s)) > 0 ? next('join') : null),
    )
  },
}

export const changeUp: Way = {
  id: 'change-up',
  title: 'count up from the price',
  school: 'From the price on, the small coins first, until it is what was paid: what was given is the change.',
  at: 'Coins from the till: nothing has to be taken away.',
  sort: 'coins',
  aim: 'steps',
  suits: (p) => {
    const [term] = p.terms
    return p.terms.length === 1 && term!.operation === '-' && compare(valueOf(p.first), valueOf(term!.number)) > 0
  },
  next: (problem, s, choices) => {
    if (!stepsOf(s))
      return {
        kind: 'begin',
        from: valueOf(problem.terms[0]!.number),
        step: exact(1),
        to: valueOf(problem.first),
        times: null,
      }
    const rest = owing(s)
    if (sign(rest) > 0) {
      const smallest = fewestCoins(toCount(rest), kindsFor(problem, choices.money))?.at(-1) ?? 1
      return coin('join', smallest)
    }
    if (sign(rest) < 0) return { kind: 'take', amount: exact(rest.slice(1)) }
    return isRead(s) ? null : { kind: 'read', value: s.value }
  },
}
