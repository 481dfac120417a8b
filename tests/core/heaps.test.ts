import fc from 'fast-check'
import { dropHeap, HEAP_RULES, whichCoins, type HeapWish } from '../../core/course/heaps'
import { DEFAULT_CHOICES } from '../../core/choices'
import { MONEY_SETS, valuesOf as piecesOf } from '../../core/number/money'
import { attempt } from '../../core/refusal'

const valuesOf = (set: (typeof MONEY_SETS)[number]): readonly number[] => piecesOf({ ...DEFAULT_CHOICES.money, set })
const wishes: fc.Arbitrary<HeapWish> = fc.record({
  values: fc.constantFrom(...MONEY_SETS).map(valuesOf),
  rule: fc.constantFrom(...HEAP_RULES),
  total: fc.option(fc.integer({ min: 1, max: 400 })),
  coins: fc.option(fc.integer({ min: 2, max: 40 })),
  seed: fc.nat(),
})

test('a heap dropped is what was wished, the same for the same seed, and never more than sixty coins', () => {
  let found = 0
  fc.assert(
    fc.property(wishes, (wish) => {
      const made = attempt(() => dropHeap(wish))
      if ('refused' in made) return
      found += 1
      const heap = made.ok
      const [total, coins] = [heap.reduce((n, k) => n + k.value * k.count, 0), heap.reduce((n, k) => n + k.count, 0)]
      if (wish.total !== null) expect(total).toBe(wish.total)
      if (wish.coins !== null) expect(coins).toBe(wish.coins)
      expect(coins).toBeLessThanOrEqual(60)
      expect(heap.every((k) => wish.values.includes(k.value) && k.count > 0)).toBe(true)
      const kinds = heap.map((k) => k.value)
      expect(kinds).toEqual([...kinds].sort((a, b) => b - a))
      if (wish.rule === 'tens-and-ones') expect(kinds).toEqual([10, 1])
      if (wish.rule === 'one-switch') expect(kinds).toHaveLength(2)
      if (wish.rule === 'three-switches') expect(kinds).toHaveLength(4)
      if (wish.rule === 'crosses') expect(total).toBeGreaterThan(100)
      expect(dropHeap(wish)).toEqual(heap)
    }),
    { numRuns: 150 },
  )
  expect(found).toBeGreaterThan(40)
})

test.each([
  [{ total: 4, coins: 2, rule: 'tens-and-ones' }, 'No heap of these coins is so'],
  [{ total: 0 }, 'A heap comes to 1 to 1000'],
  [{ coins: 61 }, 'A heap has 2 to 60 coins'],
  [{ values: [25, 5], rule: 'tens-and-ones' }, 'There are no tens and ones'],
  [{ total: 7, coins: 3, values: [50, 20], rule: 'any' }, 'No heap of these coins is so'],
] as const)('%j is refused with its reason', (over, why) => {
  const wish: HeapWish = { values: valuesOf('token'), rule: 'any', total: null, coins: null, seed: 1, ...over }
  expect(() => dropHeap(wish)).toThrow(why)
})

test('which coins these could be: all of them, against going through every choice one by one', () => {
  const values = valuesOf('us').filter((v) => v <= 50)
  /** Every heap of n coins, coin by coin, none greater than the one before. */
  const every = (n: number, total: number, most: number): number => {
    if (n === 0) return total === 0 ? 1 : 0
    return values.filter((v) => v <= most && v <= total).reduce((sum, v) => sum + every(n - 1, total - v, v), 0)
  }
  for (const [total, n] of [
    [41, 4],
    [30, 3],
    [50, 6],
    [99, 9],
    [7, 2],
  ] as const)
    expect([total, n, whichCoins(total, n, values).heaps.length]).toEqual([total, n, every(n, total, 50)])
  expect(whichCoins(41, 4, values).heaps).toEqual([[25, 10, 5, 1].map((value) => ({ value, count: 1 }))])
})
