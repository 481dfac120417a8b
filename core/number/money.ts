/** Coins and notes as data: what a piece is worth, in the small unit, and how large it is. No likenesses, ever. */

export const MONEY_SETS = ['token', 'us', 'uk', 'euro'] as const
export type MoneySet = (typeof MONEY_SETS)[number]

export interface Coin {
  /** In the small unit. */
  readonly value: number
  /** Diameter in millimetres. */
  readonly across: number
}

/** A currency as a class writes and says it; a hundred of the small unit are one of the large. */
export interface Currency {
  readonly title: string
  readonly coins: readonly Coin[]
  /** What stands before an amount of the large unit, and after one of the small. */
  readonly large: string
  readonly small: string
  /** How the units are said: one, several. */
  readonly largeName: readonly [string, string]
  readonly smallName: readonly [string, string]
}

/**
 * The coins in common use, the greatest first. Diameters in millimetres as the mints publish them (United States Mint, Royal Mint,
 * European Central Bank), from memory; the tokens are our own.
 */
export const CURRENCIES: Readonly<Record<MoneySet, Currency>> = {
  token: {
    title: 'plain tokens',
    coins: [
      { value: 100, across: 30 },
      { value: 50, across: 27 },
      { value: 25, across: 25 },
      { value: 10, across: 22 },
      { value: 5, across: 20 },
      { value: 1, across: 18 },
    ],
    large: '',
    small: '',
    largeName: ['whole', 'wholes'],
    smallName: ['token', 'tokens'],
  },
  us: {
    title: 'dollars and cents',
    coins: [
      { value: 100, across: 26.49 },
      { value: 50, across: 30.61 },
      { value: 25, across: 24.26 },
      { value: 10, across: 17.91 },
      { value: 5, across: 21.21 },
      { value: 1, across: 19.05 },
    ],
    large: '$',
    small: '¢',
    largeName: ['dollar', 'dollars'],
    smallName: ['cent', 'cents'],
  },
  uk: {
    title: 'pounds and pence',
    coins: [
      { value: 200, across: 28.4 },
      { value: 100, across: 23.43 },
      { value: 50, across: 27.3 },
      { value: 20, across: 21.4 },
      { value: 10, across: 24.5 },
      { value: 5, across: 18 },
      { value: 2, across: 25.9 },
      { value: 1, across: 20.3 },
    ],
    large: '£',
    small: 'p',
    largeName: ['pound', 'pounds'],
    smallName: ['penny', 'pence'],
  },
  euro: {
    title: 'euros and cents',
    coins: [
      { value: 200, across: 25.75 },
      { value: 100, across: 23.25 },
      { value: 50, across: 24.25 },
      { value: 20, across: 22.25 },
      { value: 10, across: 19.75 },
      { value: 5, across: 21.25 },
      { value: 2, across: 18.75 },
      { value: 1, across: 16.25 },
    ],
    large: '€',
    small: 'c',
    largeName: ['euro', 'euros'],
    smallName: ['cent', 'cents'],
  },
}

/** Every value that a coin has in some set, the greatest first. */
export const COIN_VALUES: readonly number[] = [
  ...new Set(Object.values(CURRENCIES).flatMap((c) => c.coins.map((coin) => coin.value))),
].sort((a, b) => b - a)

/** An amount as it is written: below a whole in the small unit, from there on in the large one with point and two places. */
export function moneyText(amount: number, { large, small }: Pick<Currency, 'large' | 'small'>): string {
  if (amount < 100) return `${amount}${small}`
  return `${large}${Math.floor(amount / 100)}.${String(amount % 100).padStart(2, '0')}`
}

/** For every amount so far the coin to take next, and how many coins it takes in all; kept by the coins there are. */
const tables = new Map<string, (readonly [number, number] | undefined)[]>()

/** As few coins as make an amount, the greatest first; undefined where they do not make it. Worked out in full: the greatest first is not always fewest. */
export function fewestCoins(amount: number, values: readonly number[]): readonly number[] | undefined {
  const key = values.join()
  const best = tables.get(key) ?? [[0, 0]]
  tables.set(key, best)
  for (let total = best.length; total <= amount; total++) {
    best.push(undefined)
    for (const value of values) {
      const before = total >= value ? best[total - value] : undefined
      if (before && (!best[total] || before[0] + 1 < best[total]![0])) best[total] = [before[0] + 1, value]
    }
  }
  if (!best[amount]) return undefined
  const coins: number[] = []
  for (let left = amount; left > 0; left -= best[left]![1]) coins.push(best[left]![1])
  return coins.sort((a, b) => b - a)
}

/** A coin put to those that make the rest. */
interface Chosen {
  readonly count: number
  readonly value: number
  readonly rest: Chosen | null
}

/** Some of the coins at hand that make an amount, as few as can be; undefined where none do. */
export function someOf(amount: number, coins: readonly number[]): readonly number[] | undefined {
  const reached = new Map<number, Chosen | null>([[0, null]])
  for (const value of coins)
    for (const [total, rest] of [...reached]) {
      const [known, count] = [reached.get(total + value), (rest?.count ?? 0) + 1]
      if (total + value <= amount && (!reached.has(total + value) || (known && known.count > count)))
        reached.set(total + value, { count, value, rest })
    }
  if (!reached.has(amount)) return undefined
  const found: number[] = []
  for (let at = reached.get(amount) ?? null; at; at = at.rest) found.unshift(at.value)
  return found
}

/** In how many ways coins of these values make an amount, whatever their order. */
export function waysToPay(amount: number, values: readonly number[]): number {
  const ways = [1, ...new Array<number>(amount).fill(0)]
  for (const value of values) for (let total = value; total <= amount; total++) ways[total]! += ways[total - value]!
  return ways[amount]!
}
