import type { Random } from '../random'
import { rangeOf, type Limits } from './limits'
import { usesIn } from './ruled'

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
  /** Whether the lesson of a bead frame has come. */
  readonly used: boolean
}
/** Digits of one column that do the same, how many such, and where they lead. */
interface Choice {
  readonly to: Seen
  readonly count: bigint
  pick(random: Random): readonly number[]
}

/** A number for each state of a column: there are few of them. */
const keyOf = (at: number, s: Seen): number =>
  (((((at * 16 + s.over) * 16 + s.times) * 2 + Number(s.across)) * 2 + Number(s.none)) * 3 + s.than + 1) * 2 +
  Number(s.used)
const START: Seen = { over: 0, times: 0, across: false, none: true, than: 0, used: false }

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
  const known = new Map<number, bigint>()
  const made = new Map<number, readonly Choice[]>()
  const choicesAt = (at: number, seen: Seen): readonly Choice[] => {
    const key = keyOf(at, seen)
    const found = made.get(key) ?? choices(at, seen)
    made.set(key, found)
    return found
  }
  const ways = (at: number, seen: Seen): bigint => {
    if (at === width) return ends(seen) ? 1n : 0n
    const key = keyOf(at, seen)
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

/** What the answer is held against: what it has to be, or what it has to stay below. */
const boundOf = ({ makes, below: bound }: Limits): number | undefined => makes ?? bound

/** Whether an answer whose digits compare so with the bound’s will do. */
const isBounded = ({ makes, below: bound }: Limits, than: Seen['than']): boolean =>
  makes !== undefined ? than === 0 && (bound === undefined || makes < bound) : bound === undefined || than < 0

/** Column sums that carry the same, and compare in the same way with the bound’s digit. */
interface SameSum {
  readonly over: number
  readonly than: -1 | 0 | 1
  readonly count: bigint
  readonly sums: readonly number[]
}

/** Sums of more than two numbers of so many digits each. */
export function sumSpace(limits: Limits, lengths: readonly number[]): Space {
  const [least, most] = rangeOf(limits.carries, 99)
  const width = Math.max(...lengths)
  const bound = boundOf(limits)
  const columns = Array.from({ length: width }, (_, at) =>
    sumsOf(
      lengths.map((length) => digitsAt(length, at)),
      at === 0 ? limits.nearTen : undefined,
    ),
  )
  /** Sums of a column that do the same as far as anybody asks, for what is carried into it. */
  const tables = columns.map((column, at) => {
    const byOver = new Map<number, readonly SameSum[]>()
    return (over: number): readonly SameSum[] => {
      const known = byOver.get(over)
      if (known) return known
      const found = new Map<string, SameSum & { sums: number[]; count: bigint }>()
      for (const sum of column.sums) {
        const total = sum + over
        const than = bound === undefined ? 0 : compared(0, total % 10, digitOf(bound, at))
        const same = { over: Math.floor(total / 10), than }
        const key = `${same.over},${than}`
        const there = found.get(key) ?? { ...same, count: 0n, sums: [] }
        found.set(key, there)
        there.count += column.ways(sum)
        there.sums.push(sum)
      }
      byOver.set(over, [...found.values()])
      return byOver.get(over)!
    }
  })
  return spaceOf(
    width,
    (at, seen) =>
      tables[at]!(seen.over).flatMap(({ over, than, count, sums }): Choice[] => {
        const times = limits.carries === undefined ? 0 : seen.times + (over > 0 ? 1 : 0)
        if (times > most) return []
        const to: Seen = { ...seen, over, times, none: false, than: than === 0 ? seen.than : than }
        const pick = (random: Random): readonly number[] => {
          const column = columns[at]!
          let left = below(random, count)
          const sum = sums.find((n) => (left -= column.ways(n)) < 0n)!
          return column.pick(random, sum)
        }
        return [{ to, count, pick }]
      }),
    ({ over, times, than }) => {
      if (times < least) return false
      if (bound === undefined) return true
      const high = Math.floor(bound / 10 ** width)
      return isBounded(limits, over === high ? than : over < high ? -1 : 1)
    },
  )
}

/** What two digits do in a column, whatever was seen below but for what is carried or owed. */
interface Done {
  readonly over: 0 | 1
  /** Whether ten are made, or something is exchanged. */
  readonly made: boolean
  readonly across: boolean
  readonly digit: number
}

function doneIn(operation: Limits['operation'], x: number, y: number, over: number): Done {
  if (operation === 'add') {
    const total = x + y + over
    return { over: total > 9 ? 1 : 0, made: total > 9, across: false, digit: total % 10 }
  }
  const stands = x - over
  const made = stands < y
  return { over: made ? 1 : 0, made, across: over === 1 && x === 0, digit: made ? stands + 10 - y : stands - y }
}

/** Digits of a column that do the same as far as anybody asks. */
interface Alike extends Omit<Done, 'digit'> {
  readonly none: boolean
  /** How the digit compares with the bound’s. */
  readonly than: -1 | 0 | 1
  readonly used: boolean
  readonly pairs: [number, number][]
}

/** Two numbers added, or the second taken from the first, which is the greater. `same` has only those whose numbers are the same. */
export function pairSpace(limits: Limits, [first, second]: readonly [number, number], same = false): Space {
  const { operation, nearTen, acrossNought } = limits
  const counted = operation === 'add' ? limits.carries : limits.exchanges
  const [least, most] = rangeOf(counted, 99)
  // One column more than the numbers have, for what is carried out of the last.
  const width = Math.max(first, second) + (operation === 'add' ? 1 : 0)
  const bound = boundOf(limits)
  const uses = limits.rule && usesIn(limits.rule, operation === 'add' ? 1 : -1)
  const tables = Array.from({ length: width }, (_, at) => ([0, 1] as const).map((over) => alikeIn(at, over)))

  function alikeIn(at: number, over: 0 | 1): readonly Alike[] {
    const found = new Map<string, Alike>()
    for (const x of digitsAt(first, at))
      for (const y of digitsAt(second, at)) {
        if (same && x !== y) continue
        if (at === 0 && nearTen !== undefined && !isNear(y, nearTen) && !(operation === 'add' && isNear(x, nearTen)))
          continue
        const times = uses ? uses(x, y, over) : 0
        if (times < 0) continue
        const { digit, ...done } = doneIn(operation, x, y, over)
        const than = bound === undefined ? 0 : compared(0, digit, digitOf(bound, at))
        const alike = { ...done, none: digit === 0, than, used: times > 0 }
        const key = JSON.stringify(alike)
        const there = found.get(key) ?? { ...alike, pairs: [] }
        found.set(key, there)
        there.pairs.push([x, y])
      }
    return [...found.values()]
  }

  return spaceOf(
    width,
    (at, seen) =>
      tables[at]![seen.over]!.flatMap((alike): Choice[] => {
        const times = counted === undefined ? 0 : seen.times + (alike.made ? 1 : 0)
        if (times > most || (alike.across && acrossNought === false)) return []
        const to: Seen = {
          over: alike.over,
          times,
          across: acrossNought === true && (seen.across || alike.across),
          none: seen.none && alike.none,
          than: alike.than === 0 ? seen.than : alike.than,
          used: seen.used || alike.used,
        }
        const { pairs } = alike
        return [{ to, count: BigInt(pairs.length), pick: (random) => pairs[Math.floor(random() * pairs.length)]! }]
      }),
    ({ over, times, across, none, than, used }) =>
      over === 0 &&
      !(none && operation === 'subtract') &&
      times >= least &&
      (acrossNought !== true || across) &&
      (!uses || used) &&
      isBounded(limits, bound !== undefined && bound >= 10 ** width ? -1 : than),
  )
}
