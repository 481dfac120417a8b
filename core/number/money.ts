/** Coins and notes as data: what a piece is worth, in the small unit, and how large it is. No likenesses, ever. */

export const MONEY_SETS = ['token', 'us', 'uk', 'euro', 'own'] as const
export type MoneySet = (typeof MONEY_SETS)[number]

export interface Coin {
  /** In the small unit. */
  readonly value: number
  /** Diameter in millimetres. */
  readonly across: number
}

/** A slip of paper money. */
export interface Note {
  /** In the small unit. */
  readonly value: number
  /** Length and height in millimetres. */
  readonly wide: number
  readonly high: number
}

/** A currency as a class writes and says it. */
export interface Currency {
  readonly title: string
  /** The greatest first, like the notes. */
  readonly coins: readonly Coin[]
  readonly notes: readonly Note[]
  /** Whether a hundred of the small unit make one of the large, and an amount from there on is written with point and two places. */
  readonly hundred: boolean
  /** What stands before an amount of the large unit, and after one of the small. */
  readonly large: string
  readonly small: string
  /** How the units are said: one, several. Without a name of the large unit, pieces are “three coins of twenty-five”. */
  readonly largeName?: readonly [string, string]
  readonly smallName: readonly [string, string]
}

/** A class's own coins: what each is worth and how large it is, and how an amount is written. */
export interface OwnMoney {
  readonly large: string
  readonly small: string
  readonly hundred: boolean
  readonly coins: readonly Coin[]
}

/** With which coins a class counts, and whether paper money is among them (practice, section 12; common practice, no source). */
export interface MoneyChoices {
  readonly set: MoneySet
  readonly notes: boolean
  readonly own: OwnMoney
}

/** What a piece of money may be worth, in the small unit: every value that a coin or note in common use has. */
export const PIECE_VALUES = [
  20000, 10000, 5000, 2000, 1000, 500, 300, 250, 200, 150, 100, 75, 60, 50, 40, 30, 25, 20, 15, 12, 10, 6, 5, 4, 3, 2,
  1,
] as const

const note = (value: number, wide: number, high: number): Note => ({ value, wide, high })
const coin = (value: number, across: number): Coin => ({ value, across })

const TOKENS: readonly Coin[] = [coin(100, 30), coin(50, 27), coin(25, 25), coin(10, 22), coin(5, 20), coin(1, 18)]

/**
 * The coins and notes in common use, the greatest first. Sizes in millimetres as mints and banks publish them (United States Mint
 * and Bureau of Engraving and Printing, Royal Mint and Bank of England, European Central Bank), from memory; the tokens are our own.
 */
export const CURRENCIES: Readonly<Record<Exclude<MoneySet, 'own'>, Currency>> = {
  token: {
    title: 'plain tokens',
    coins: TOKENS,
    notes: [note(1000, 132, 69), note(500, 125, 65)],
    hundred: true,
    large: '',
    small: '',
    smallName: ['token', 'tokens'],
  },
  us: {
    title: 'dollars and cents',
    coins: [coin(100, 26.49), coin(50, 30.61), coin(25, 24.26), coin(10, 17.91), coin(5, 21.21), coin(1, 19.05)],
    notes: [5000, 2000, 1000, 500, 100].map((value) => note(value, 155.96, 66.29)),
    hundred: true,
    large: '$',
    small: '¢',
    largeName: ['dollar', 'dollars'],
    smallName: ['cent', 'cents'],
  },
  uk: {
    title: 'pounds and pence',
    coins: [
      ...[coin(200, 28.4), coin(100, 23.43), coin(50, 27.3), coin(20, 21.4)],
      ...[coin(10, 24.5), coin(5, 18), coin(2, 25.9), coin(1, 20.3)],
    ],
    notes: [note(5000, 146, 77), note(2000, 139, 73), note(1000, 132, 69), note(500, 125, 65)],
    hundred: true,
    large: '£',
    small: 'p',
    largeName: ['pound', 'pounds'],
    smallName: ['penny', 'pence'],
  },
  euro: {
    title: 'euros and cents',
    coins: [
      ...[coin(200, 25.75), coin(100, 23.25), coin(50, 24.25), coin(20, 22.25)],
      ...[coin(10, 19.75), coin(5, 21.25), coin(2, 18.75), coin(1, 16.25)],
    ],
    notes: [note(5000, 140, 77), note(2000, 133, 72), note(1000, 127, 67), note(500, 120, 62)],
    hundred: true,
    large: '€',
    small: 'c',
    largeName: ['euro', 'euros'],
    smallName: ['cent', 'cents'],
  },
}

/** What a class's own coins are to begin with. */
export const OWN_AT_FIRST: OwnMoney = { large: '', small: '', hundred: true, coins: TOKENS }

/** The money of a class. */
export function currencyOf({ set, own }: MoneyChoices): Currency {
  if (set !== 'own') return CURRENCIES[set]
  const coins = [...own.coins].sort((a, b) => b.value - a.value)
  return { ...own, title: 'our own coins', coins, notes: CURRENCIES.token.notes, smallName: ['coin', 'coins'] }
}

/** What a class pays with, by value, the greatest first: its coins, and its notes where it wants them. */
export function valuesOf(money: MoneyChoices): readonly number[] {
  const { coins, notes } = currencyOf(money)
  const all = [...(money.notes ? notes : []), ...coins].map((piece) => piece.value)
  return [...new Set(all)].sort((a, b) => b - a)
}

/** The largest amount that is counted out, in the small unit: 99.99, and with notes 200. */
export const largestAmount = ({ notes }: MoneyChoices): number => (notes ? 20_000 : 9_999)

/** An amount as it is written: below a whole in the small unit, from there on in the large one with point and two places. */
export function moneyText(
  amount: number,
  { large, small, hundred }: Pick<Currency, 'large' | 'small' | 'hundred'>,
): string {
  if (amount < 100 || !hundred) return `${amount}${small}`
  return `${large}${Math.floor(amount / 100)}.${String(amount % 100).padStart(2, '0')}`
}

/** An amount as it is typed, in the small unit: `135`, `135¢`, `1.35` and `$1.35` are 135, and `1.5` is 150; undefined for anything else. */
export function amountIn(text: string): number | undefined {
  const plain = text.trim().replaceAll(',', '')
  const [, whole, places] = /^[$£€]?\s?(\d{1,5})(?:\.(\d{1,2}))\s?€?$/u.exec(plain) ?? []
  if (whole !== undefined && places !== undefined) return Number(whole) * 100 + Number(places.padEnd(2, '0'))
  const [, large] = /^[$£€]\s?(\d{1,5})$/u.exec(plain) ?? []
  if (large !== undefined) return Number(large) * 100
  const [, small] = /^(\d{1,7})\s?(?:¢|p|c)?$/u.exec(plain) ?? []
  return small === undefined ? undefined : Number(small)
}

/** For every amount so far the coin to take next, and how many coins it takes in all; kept by the coins there are. */
const tables = new Map<string, (readonly [number, number] | undefined)[]>()
const MOST_TABLES = 16

/** As few coins as make an amount, the greatest first; undefined where they do not make it. Worked out in full: the greatest first is not always fewest. */
export function fewestCoins(amount: number, values: readonly number[]): readonly number[] | undefined {
  const key = values.join()
  const best = tables.get(key) ?? [[0, 0]]
  if (tables.size >= MOST_TABLES && !tables.has(key)) tables.clear()
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

/** Every way in which pieces of these values make an amount, the greatest first and so the fewest pieces near the head; at most so many. */
export function everyPayment(
  amount: number,
  values: readonly number[],
  most: number,
): { readonly ways: readonly (readonly number[])[]; readonly more: boolean } {
  const ways: (readonly number[])[] = []
  const kinds = [...values].sort((a, b) => b - a)
  // What no remaining kinds make is not tried: every branch that is entered ends in a way.
  const makes = kinds.map((_, i) => {
    const reach = new Uint8Array(amount + 1)
    reach[0] = 1
    for (const value of kinds.slice(i)) for (let t = value; t <= amount; t++) if (reach[t - value]) reach[t] = 1
    return reach
  })
  const go = (at: number, left: number, taken: readonly number[]): boolean => {
    if (left === 0) return ways.push(taken) > most
    if (at === kinds.length || !makes[at]![left]) return false
    const value = kinds[at]!
    for (let count = Math.floor(left / value); count >= 0; count--)
      if (go(at + 1, left - count * value, [...taken, ...new Array<number>(count).fill(value)])) return true
    return false
  }
  const more = go(0, amount, [])
  return { ways: ways.slice(0, most), more }
}
