import fc from 'fast-check'
import { toWords } from 'number-to-words'
import { DEFAULT_CHOICES } from '../../core/choices'
import { everyPayment, fewestCoins, MONEY_SETS, valuesOf, waysToPay } from '../../core/number/money'
import { plan } from '../../core/plan/plan'

/** Coin problems against dynamic programming written another way, and against numbers that are known. */

/** How many coins at least, by breadth: every amount that n coins reach, for n = 1, 2, … */
function leastByBreadth(values: readonly number[], most: number): readonly number[] {
  const least = new Array<number>(most + 1).fill(Infinity)
  least[0] = 0
  let frontier = [0]
  for (let n = 1; frontier.length > 0; n++) {
    const next: number[] = []
    for (const amount of frontier)
      for (const v of values)
        if (amount + v <= most && least[amount + v] === Infinity) {
          least[amount + v] = n
          next.push(amount + v)
        }
    frontier = next
  }
  return least
}

/** In how many ways: the coefficients of the product of 1 + x^v + x^2v + …, multiplied out one kind after another. */
function waysByProduct(values: readonly number[], most: number): readonly number[] {
  return values.reduce<readonly number[]>(
    (series, v) => series.map((_, n) => series.reduce((sum, c, k) => (k <= n && (n - k) % v === 0 ? sum + c : sum), 0)),
    [1, ...new Array<number>(most).fill(0)],
  )
}

/** Every set as a class has it, with paper money, and one where the greatest first is not fewest. */
const SETS: readonly (readonly [string, readonly number[]])[] = [
  ...MONEY_SETS.map((set) => [set, valuesOf({ ...DEFAULT_CHOICES.money, set, notes: true })] as const),
  ['4, 3, 1', [4, 3, 1]],
]

test.each(SETS)('%s: the fewest coins for every amount to 500', (_, values) => {
  const least = leastByBreadth(values, 500)
  for (let amount = 1; amount <= 500; amount++) {
    const coins = fewestCoins(amount, values)!
    expect([amount, coins.length]).toEqual([amount, least[amount]])
    expect(coins.reduce((a, b) => a + b)).toBe(amount)
  }
})

test.each(SETS)('%s: in how many ways every amount to 500 can be paid', (_, values) => {
  const ways = waysByProduct(values, 500)
  for (let amount = 1; amount <= 500; amount++)
    expect([amount, waysToPay(amount, values)]).toEqual([amount, ways[amount]])
})

test.each(SETS)('%s: every way to pay is listed once, pays, and the first has the greatest coins', (_, values) => {
  const ways = waysByProduct(values, 60)
  for (let amount = 1; amount <= 60; amount++) {
    const listed = everyPayment(amount, values, 10_000)
    expect([amount, listed.ways.length, listed.more]).toEqual([amount, ways[amount], false])
    expect(new Set(listed.ways.map((w) => w.join())).size).toBe(listed.ways.length)
    for (const way of listed.ways) expect(way.reduce((a, b) => a + b)).toBe(amount)
  }
  expect(everyPayment(60, values, 5)).toMatchObject({ more: true })
})

test('known numbers: a dollar in 292 or 293 ways, two pounds in 73,682 (well-known puzzles, from memory)', () => {
  expect(waysToPay(100, [50, 25, 10, 5, 1])).toBe(292)
  expect(waysToPay(100, [100, 50, 25, 10, 5, 1])).toBe(293)
  expect(waysToPay(200, [200, 100, 50, 20, 10, 5, 2, 1])).toBe(73_682)
})

test('where taking the greatest first is not fewest, fewer are found; what cannot be paid is said', () => {
  expect(fewestCoins(6, [4, 3, 1])).toEqual([3, 3])
  expect(fewestCoins(30, [25, 10, 1])).toEqual([10, 10, 10])
  expect(fewestCoins(3, [5, 2])).toBeUndefined()
})

/** The words said coin by coin, made another way: all coins in falling order, each with the sum so far, named by number-to-words. */
const wordsFor = (coins: readonly number[]): readonly string[] => {
  const falling = [...coins].sort((a, b) => b - a)
  return falling.map((_, i) => toWords(falling.slice(0, i + 1).reduce((a, b) => a + b)))
}
const bare = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^a-z ]/g, ' ')
    .replace(/ and /g, ' ')
    .replace(/ +/g, ' ')
    .trim()

test('the counting words are those of a generator of its own, and the kind is said wherever it changes', () => {
  const values = valuesOf({ ...DEFAULT_CHOICES.money, set: 'us' })
  const heaps = fc.array(fc.constantFrom(...values), { minLength: 2, maxLength: 40 })
  fc.assert(
    fc.property(heaps, (coins) => {
      const kinds = [...new Set(coins)]
      fc.pre(kinds.length > 1)
      const problem = kinds.map((v) => `${coins.filter((c) => c === v).length} * ${v}`).join(' + ')
      const choices = { money: { ...DEFAULT_CHOICES.money, set: 'us' as const } }
      const { steps } = plan({ problem, representation: 'coins', way: 'sort-and-count', choices })
      const counted = steps.filter((s) => s.act.kind === 'lay' || s.act.kind === 'join').map((s) => bare(s.say))
      expect(counted).toEqual(wordsFor(coins).map(bare))
      expect(steps.filter((s) => s.say.startsWith('Stop. Now'))).toHaveLength(kinds.length - 1)
    }),
    { numRuns: 60 },
  )
})
