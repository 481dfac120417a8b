import { CURRENCIES, fewestCoins, MONEY_SETS, waysToPay } from '../../core/number/money'

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

/** In how many ways, by going through the counts of each kind in turn. */
function waysByKinds(amount: number, values: readonly number[]): number {
  const [first, ...rest] = values
  if (first === undefined) return amount === 0 ? 1 : 0
  if (rest.length === 0) return amount % first === 0 ? 1 : 0
  let ways = 0
  for (let left = amount; left >= 0; left -= first) ways += waysByKinds(left, rest)
  return ways
}

test.each(MONEY_SETS)('%s: the fewest coins for every amount to 500', (set) => {
  const values = CURRENCIES[set].coins.map((c) => c.value)
  const least = leastByBreadth(values, 500)
  for (let amount = 1; amount <= 500; amount++) {
    const coins = fewestCoins(amount, values)!
    expect([amount, coins.length]).toEqual([amount, least[amount]])
    expect(coins.reduce((a, b) => a + b)).toBe(amount)
  }
})

test.each(MONEY_SETS)('%s: in how many ways every amount to 120 can be paid', (set) => {
  const values = CURRENCIES[set].coins.map((c) => c.value).filter((v) => v <= 120)
  for (let amount = 1; amount <= 120; amount++)
    expect([amount, waysToPay(amount, values)]).toEqual([amount, waysByKinds(amount, values)])
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
