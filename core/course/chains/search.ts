import { between, type Random } from '../random'
import type { ChainWish } from './wish'
import { classifier, type Classify } from './classify'

/** How many numbers may be tried in all before the search gives up. */
const MOST_TRIES = 2_000_000
/** How many numbers are tried from one total before its chain is let go. */
const TRIES_HERE = 400

/** Chains from a world too large to go through, built number by number by chance. */
export function search(wish: ChainWish, random: Random): readonly (readonly number[])[] {
  const classify = classifier(wish)
  const found = new Map<string, readonly number[]>()
  const budget = { left: MOST_TRIES }
  while (found.size < wish.count && budget.left > 0) {
    const chain = build(wish, classify, random, budget)
    if (chain) found.set(chain.join(), chain)
  }
  return [...found.values()]
}

function build(
  wish: ChainWish,
  classify: Classify,
  random: Random,
  budget: { left: number },
): readonly number[] | undefined {
  const { least, greatest, digits, terms } = wish
  const [low, high] = [digits === 1 ? 1 : 10 ** (digits - 1), 10 ** digits - 1]
  if (Math.max(low, least) > Math.min(high, greatest)) {
    budget.left = 0
    return undefined
  }
  let total = between(random, Math.max(low, least), Math.min(high, greatest))
  const chain = [total]
  // The lesson comes at one number chosen beforehand; elsewhere it may come too where once is not all.
  const day = between(random, 1, terms - 1)
  for (let i = 1; i < terms; i++) {
    const by = pick(wish, classify, random, budget, total, chain.at(-1)!, i === day)
    if (by === undefined) return undefined
    chain.push(by)
    total += by
  }
  return chain
}

function pick(
  wish: ChainWish,
  classify: Classify,
  random: Random,
  budget: { left: number },
  total: number,
  last: number,
  day: boolean,
): number | undefined {
  for (let i = 0; i < TRIES_HERE && budget.left > 0; i++) {
    budget.left -= 1
    const by = draw(wish, random, day)
    const to = total + by
    if (to < wish.least || to > wish.greatest || (by === -last && !wish.undoing)) continue
    const uses = classify(total, by)
    const fits = day ? (wish.times === 'once' ? uses === 1 : uses > 0) : wish.times === 'once' ? uses === 0 : uses >= 0
    if (fits) return by
  }
  return undefined
}

/** A number by chance; on the lesson's day with the lesson's sign, and its digit on its rod. */
function draw({ digits, signs, lesson, rod }: ChainWish, random: Random, day: boolean): number {
  const way = day ? lesson.way : signs === '+' ? 1 : signs === '-' ? -1 : random() < 0.5 ? -1 : 1
  const at = day ? (rod === 'any' ? between(random, 0, digits - 1) : rod) : -1
  let size = 0
  for (let p = digits - 1; p >= 0; p--)
    size = 10 * size + (p === at ? lesson.digit : between(random, p === digits - 1 ? 1 : 0, 9))
  return way * size
}
