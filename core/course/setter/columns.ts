import type { Random } from '../random'
import { rangeOf, type Limits } from './limits'

/**
 * Adding and taking away in columns, counted and drawn without listing: column by column from the ones up, by what has been carried and
 * seen so far. Every count is exact.
 */

/** How many there are, and one of them by chance, each as likely; numbers in whole lowest units. */
export interface Space {
  readonly count: bigint
  draw(random: Random): readonly number[]
}

/** What has happened below the column that comes next. */
interface Seen {
  /** Carried into the column, or owed by it. */
  readonly over: number
  /** In how many columns so far ten were made, or something exchanged. */
  readonly times: number
  /** Whether an exchange has come from beyond a nought. */
  readonly across: boolean
  /** Whether the answer so far is nought. */
  readonly none: boolean
  /** How the answer’s digits so far compare with the bound’s: −1, 0, 1. */
  readonly than: -1 | 0 | 1
}
/** Digits of one column that do the same, how many such, and where they lead. */
interface Choice {
  readonly to: Seen
  readonly count: bigint
  pick(random: Random): readonly number[]
}

const keyOf = (s: Seen): string => `${s.over},${s.times},${Number(s.across)},${Number(s.none)},${s.than}`
const START: Seen = { over: 0, times: 0, across: false, none: true, than: 0 }

/** A number up to `n`, not included; of big ones too. */
function below(random: Random, n: bigint): bigint {
  // Two draws of 26 bits each, as often as needed: even enough for choosing problems.
  let value = 0n
  let size = 1n
  while (size < n * 1024n) {
    value = value * 67_108_864n + BigInt(Math.floor(random() * 67_108_864))
    size *= 67_108_864n
  }
  return (value * n) / size
}

/** The space of column digits in which `choices` says what a column may be and `ends` which ends count. */
function spaceOf(
  width: number,
  choices: (at: number, seen: Seen) => readonly Choice[],
  ends: (seen: Seen) => boolean,
): Space {
  const known = new Map<string, bigint>()
  const made = new Map<string, readonly Choice[]>()
  const choicesAt = (at: number, seen: Seen): readonly Choice[] => {
    const key = `${at};${keyOf(seen)}`
    const found = made.get(key) ?? choices(at, seen)
    made.set(key, found)
    return found
  }
  const ways = (at: number, seen: Seen): bigint => {
    if (at === width) return ends(seen) ? 1n : 0n
    const key = `${at};${keyOf(seen)}`
    const before = known.get(key)
    if (before !== undefined) return before
    let all = 0n
    for (const choice of choicesAt(at, seen)) all += choice.count * ways(at + 1, choice.to)
    known.set(key, all)
    return all
  }
  const count = ways(0, START)
  return {
    count,
    draw(random) {
      const columns: (readonly number[])[] = []
      let seen = START
      for (let at = 0; at < width; at++) {
        let left = below(random, ways(at, seen))
        for (const choice of choicesAt(at, seen)) {
          const share = choice.count * ways(at + 1, choice.to)
          if (left >= share) {
            left -= share
            continue
          }
          columns.push(choice.pick(random))
          seen = choice.to
          break
        }
      }
      return columns[0]!.map((_, n) => columns.reduceRight((all, column) => all * 10 + column[n]!, 0))
    },
  }
}

/** The digits that a number of so many digits may have in a column; its first one is not nought. */
const digitsAt = (length: number, at: number): readonly number[] =>
  at >= length ? [0] : Array.from({ length: 10 }, (_, d) => d).slice(at === length - 1 ? 1 : 0)

const isNear = (digit: number, near: number): boolean => digit !== 0 && (digit <= near || digit >= 10 - near)

const digitOf = (n: number, at: number): number => Math.floor(n / 10 ** at) % 10
const compared = (than: Seen['than'], digit: number, bound: number): Seen['than'] =>
  digit === bound ? than : digit < bound ? -1 : 1

/** Column sums of several numbers: how many ways to each sum, and one of them. With `near`, some digit has to be near a ten. */
function sumsOf(lists: readonly (readonly number[])[], near: number | undefined) {
  type Table = Map<number, [without: bigint, withNear: bigint]>
  const tables: Table[] = [new Map([[0, [1n, 0n]]])]
  for (const digits of lists) {
    const next: Table = new Map()
    for (const [sum, [without, withNear]] of tables.at(-1)!)
      for (const d of digits) {
        const entry = next.get(sum + d) ?? [0n, 0n]
        if (near !== undefined && isNear(d, near)) entry[1] += without + withNear
        else {
          entry[0] += without
          entry[1] += withNear
        }
        next.set(sum + d, entry)
      }
    tables.push(next)
  }
  const ways = (sum: number): bigint => {
    const [without, withNear] = tables.at(-1)!.get(sum) ?? [0n, 0n]
    return near === undefined ? without : withNear
  }
  function pick(random: Random, sum: number): readonly number[] {
    const chosen: number[] = []
    let [rest, wanted] = [sum, near !== undefined]
    for (let i = lists.length; i > 0; i--) {
      const options = lists[i - 1]!.flatMap((d) => {
        const [without, withNear] = tables[i - 1]!.get(rest - d) ?? [0n, 0n]
        const isIt = near !== undefined && isNear(d, near)
        const count = !wanted ? (isIt ? 0n : without) : isIt ? without + withNear : withNear
        return count > 0n ? [{ d, count, isIt }] : []
      })
      let left = below(
        random,
        options.reduce((all, o) => all + o.count, 0n),
      )
      const option = options.find((o) => {
        if (left < o.count) return true
        left -= o.count
        return false
      })!
      if (option.isIt) {
        // Whether one of the others is near too does not matter any more, but both kinds have to be reached.
        const [without, withNear] = tables[i - 1]!.get(rest - option.d) ?? [0n, 0n]
        wanted = below(random, without + withNear) >= without
      }
      rest -= option.d
      chosen.unshift(option.d)
    }
    return chosen
  }
  return { sums: [...tables.at(-1)!.keys()].filter((s) => ways(s) > 0n).sort((a, b) => a - b), ways, pick }
}

/** Sums of numbers of so many digits each. `same` counts only those whose two numbers are the same. */
export function sumSpace(limits: Limits, lengths: readonly number[], same = false): Space {
  const [least, most] = rangeOf(limits.carries, 99)
  const width = Math.max(...lengths)
  const bound = limits.below
  const columns = Array.from({ length: width }, (_, at) => {
    const near = at === 0 ? limits.nearTen : undefined
    if (!same)
      return sumsOf(
        lengths.map((length) => digitsAt(length, at)),
        near,
      )
    const digits = digitsAt(lengths[0]!, at).filter((d) => near === undefined || isNear(d, near))
    return {
      sums: digits.map((d) => 2 * d),
      ways: () => 1n,
      pick: (_: Random, sum: number) => [sum / 2, sum / 2] as readonly number[],
    }
  })
  return spaceOf(
    width,
    (at, seen) => {
      const column = columns[at]!
      return column.sums.flatMap((sum): Choice[] => {
        const total = sum + seen.over
        const times = seen.times + (total > 9 ? 1 : 0)
        if (times > most) return []
        const than = bound === undefined ? -1 : compared(seen.than, total % 10, digitOf(bound, at))
        const to = { ...seen, over: Math.floor(total / 10), times, none: false, than } as const
        return [{ to, count: column.ways(sum), pick: (random) => column.pick(random, sum) }]
      })
    },
    ({ over, times, than }) => {
      if (times < least) return false
      if (bound === undefined) return true
      const high = Math.floor(bound / 10 ** width)
      return over === high ? than < 0 : over < high
    },
  )
}

/** Differences of two numbers, the first the greater. */
export function differenceSpace(limits: Limits, [first, second]: readonly [number, number]): Space {
  const [least, most] = rangeOf(limits.exchanges, 99)
  const width = Math.max(first, second)
  const bound = limits.below
  return spaceOf(
    width,
    (at, seen) => {
      // Pairs of digits that do the same are one choice.
      const alike = new Map<string, { readonly to: Seen; readonly pairs: [number, number][] }>()
      for (const x of digitsAt(first, at))
        for (const y of digitsAt(second, at)) {
          if (at === 0 && limits.nearTen !== undefined && !isNear(y, limits.nearTen)) continue
          const stands = x - seen.over
          const exchanges = stands < y
          const times = seen.times + (exchanges ? 1 : 0)
          const across = seen.across || (seen.over === 1 && x === 0)
          if (times > most || (across && limits.acrossNought === false)) continue
          const digit = exchanges ? stands + 10 - y : stands - y
          const than = bound === undefined ? -1 : compared(seen.than, digit, digitOf(bound, at))
          const to = { over: exchanges ? 1 : 0, times, across, none: seen.none && digit === 0, than } as const
          const same = alike.get(keyOf(to)) ?? { to, pairs: [] }
          alike.set(keyOf(to), same)
          same.pairs.push([x, y])
        }
      return [...alike.values()].map(({ to, pairs }): Choice => ({
        to,
        count: BigInt(pairs.length),
        pick: (random) => pairs[Math.floor(random() * pairs.length)]!,
      }))
    },
    ({ over, times, across, none, than }) =>
      over === 0 &&
      !none &&
      times >= least &&
      (limits.acrossNought !== true || across) &&
      (bound === undefined || (bound >= 10 ** width ? true : than < 0)),
  )
}
