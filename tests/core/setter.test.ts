import fc from 'fast-check'
import {
  conflictIn,
  countProblems,
  featuresIn,
  isWithin,
  lessonId,
  LESSONS,
  looksAlike,
  setProblems,
  type Limits,
  type Range,
} from '../../core/course/index'
import { parseProblem, Refusal } from '../../core/index'

/** Problems within limits found by trying every pair of numbers, with what they ask worked out anew from their digits. */
function bruteForce(limits: Limits): Set<string> {
  const [m, n] = limits.digits ?? (limits.operation === 'multiply' || limits.operation === 'divide' ? [2, 1] : [2, 2])
  const inRange = (value: number, range: Range | undefined): boolean =>
    range === undefined || (typeof range === 'number' ? value === range : value >= range[0] && value <= range[1])
  const near = (x: number): boolean => x % 10 !== 0 && Math.min(x % 10, 10 - (x % 10)) <= (limits.nearTen ?? 10)
  const found = new Set<string>()
  const least = (d: number): number => (limits.operation === 'multiply' && d === 1 ? 2 : 10 ** (d - 1))
  if (limits.ragged !== undefined && (m !== n) !== limits.ragged) return found
  for (let a = least(m!); a < 10 ** m!; a++)
    for (let b = limits.operation === 'divide' && n === 1 ? 2 : least(n!); b < 10 ** n!; b++) {
      const [x, y] = [String(a).split('').reverse().map(Number), String(b).split('').reverse().map(Number)]
      const twin = m === n && !limits.turned && found.has(`${b},${a}`)
      let ok: boolean
      if (limits.operation === 'add') {
        let [carry, times] = [0, 0]
        for (let i = 0; i < Math.max(x.length, y.length); i++) {
          carry = (x[i] ?? 0) + (y[i] ?? 0) + carry > 9 ? 1 : 0
          times += carry
        }
        ok = inRange(times, limits.carries) && a + b < (limits.below ?? Infinity) && !twin
        if (limits.nearTen !== undefined) ok &&= near(a) || near(b)
        if (limits.makes !== undefined) ok &&= a + b === limits.makes
      } else if (limits.operation === 'subtract') {
        if (a <= b) continue
        let [borrow, times, across] = [0, 0, false]
        for (let i = 0; i < x.length; i++) {
          if (borrow === 1 && x[i] === 0) across = true
          borrow = x[i]! - borrow < (y[i] ?? 0) ? 1 : 0
          times += borrow
        }
        ok = inRange(times, limits.exchanges) && a - b < (limits.below ?? Infinity)
        if (limits.acrossNought !== undefined) ok &&= across === limits.acrossNought
        if (limits.nearTen !== undefined) ok &&= near(b)
        if (limits.makes !== undefined) ok &&= a - b === limits.makes
      } else if (limits.operation === 'multiply') {
        let [carry, times] = [0, 0]
        for (const d of x) {
          carry = Math.floor((d * b + carry) / 10)
          if (carry > 0) times++
        }
        ok = inRange(times, limits.carries) && a * b < (limits.below ?? Infinity)
        if (limits.by) ok &&= limits.by.includes(b)
        if (limits.carries === undefined) ok &&= !twin
      } else {
        ok = a >= b && Math.floor(a / b) < (limits.below ?? Infinity)
        if (limits.by) ok &&= limits.by.includes(b)
        if (limits.remainder !== undefined) ok &&= (a % b !== 0) === limits.remainder
      }
      if (ok) found.add(`${a},${b}`)
    }
  return found
}

const optional = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: undefined })
const ranges: fc.Arbitrary<Range> = fc.oneof(
  fc.integer({ min: 0, max: 3 }),
  fc.tuple(fc.integer({ min: 0, max: 2 }), fc.integer({ min: 0, max: 2 })).map(([a, b]) => [a, a + b] as const),
)
/** Limits of one- and two-digit numbers, some of three, whether they leave problems or not. */
const limitsUpTo = (digits: number): fc.Arbitrary<Limits> => {
  const lengths = fc.tuple(fc.integer({ min: 1, max: digits }), fc.integer({ min: 1, max: digits }))
  const made = fc.integer({ min: 1, max: 10 ** digits + 20 })
  const tables = fc.array(fc.integer({ min: 1, max: 99 }), { minLength: 1, maxLength: 6 })
  const common = {
    digits: lengths,
    below: optional(fc.integer({ min: 1, max: 10 ** digits * 2 })),
    ragged: optional(fc.boolean()),
  }
  return fc.oneof(
    fc.record({
      operation: fc.constant('add' as const),
      ...common,
      carries: optional(ranges),
      nearTen: optional(fc.integer({ min: 1, max: 4 })),
      turned: optional(fc.boolean()),
      makes: optional(made),
    }),
    fc.record({
      operation: fc.constant('subtract' as const),
      ...common,
      exchanges: optional(ranges),
      nearTen: optional(fc.integer({ min: 1, max: 4 })),
      acrossNought: optional(fc.boolean()),
      makes: optional(made),
    }),
    fc.record({
      operation: fc.constant('divide' as const),
      ...common,
      digits: lengths.map(([m, n]) => [Math.max(m, n), Math.min(m, n)] as const),
      remainder: optional(fc.boolean()),
      by: optional(tables),
    }),
    fc.record({
      operation: fc.constant('multiply' as const),
      ...common,
      turned: optional(fc.boolean()),
      by: optional(tables),
    }),
    fc.record({
      operation: fc.constant('multiply' as const),
      digits: fc.integer({ min: 1, max: digits }).map((m) => [m, 1] as const),
      carries: ranges,
      ragged: fc.constant(undefined),
    }),
  )
}
const sound = (limits: Limits): Limits =>
  Object.fromEntries(Object.entries(limits).filter(([, v]) => v !== undefined)) as unknown as Limits

describe('how many there are', () => {
  test('just as many as trying every pair finds, for numbers of one and two digits', () => {
    fc.assert(
      fc.property(limitsUpTo(2), (limits) => {
        expect(countProblems(sound(limits))).toBe(BigInt(bruteForce(limits).size))
      }),
      { numRuns: 300 },
    )
  })

  test('and of three', () => {
    fc.assert(
      fc.property(limitsUpTo(3), (limits) => {
        expect(countProblems(sound(limits))).toBe(BigInt(bruteForce(limits).size))
      }),
      { numRuns: 15 },
    )
  })

  test('of numbers that nobody could list: nine digits, and eight numbers of nine', () => {
    // 9 × 10⁸ numbers each; with their twins once, n(n + 1) / 2.
    const n = 900_000_000n
    expect(countProblems({ operation: 'add', digits: [9, 9] })).toBe((n * (n + 1n)) / 2n)
    expect(countProblems({ operation: 'add', digits: [9, 9], turned: true })).toBe(n * n)
    // No column of two digits that comes to ten: 55 pairs a column, 36 in the first one, whose digits are not nought.
    expect(countProblems({ operation: 'add', digits: [9, 9], carries: 0, turned: true })).toBe(36n * 55n ** 8n)
    expect(countProblems({ operation: 'add', digits: new Array<number>(8).fill(9), addends: 8 })).toBe(n ** 8n)
    const without = countProblems({ operation: 'subtract', digits: [9, 9], acrossNought: false })
    const across = countProblems({ operation: 'subtract', digits: [9, 9], acrossNought: true })
    expect(without + across).toBe((n * (n - 1n)) / 2n)
  })

  test('several numbers against all triples of one digit', () => {
    const count = (wanted: (a: number, b: number, c: number) => boolean): bigint => {
      let all = 0n
      for (let a = 1; a < 10; a++) for (let b = 1; b < 10; b++) for (let c = 1; c < 10; c++) if (wanted(a, b, c)) all++
      return all
    }
    const three = { operation: 'add', addends: 3, digits: [1, 1, 1] } as const
    expect(countProblems({ ...three, carries: 0 })).toBe(count((a, b, c) => a + b + c < 10))
    expect(countProblems({ ...three, below: 15 })).toBe(count((a, b, c) => a + b + c < 15))
    expect(countProblems({ ...three, nearTen: 2 })).toBe(count((...all) => all.some((d) => d <= 2 || d >= 8)))
  })

  test('by a lesson on beads: just the pairs whose beads go by it, and by nothing that was not taught', () => {
    const some = ['direct+3', 'direct+6', 'five+2', 'ten+9', 'mixed+7', 'direct-7', 'five-4', 'ten-8', 'mixed-6']
    for (const lesson of some)
      for (const order of ['highest', 'ones'] as const) {
        const limits: Limits = {
          operation: lesson.includes('+') ? 'add' : 'subtract',
          digits: [2, 1],
          rule: { lessons: [lesson], order },
        }
        let all = 0n
        for (let a = 10; a < 100; a++)
          for (let b = 1; b < 10; b++)
            if (isWithin(parseProblem(`${a} ${limits.operation === 'add' ? '+' : '-'} ${b}`), limits)) all++
        expect([lesson, order, countProblems(limits)]).toEqual([lesson, order, all])
      }
    // Where a one is carried into a rod that is worked too, it matters which comes first.
    const taught = LESSONS.map(lessonId)
    const count = (order: 'highest' | 'ones'): bigint =>
      countProblems({ operation: 'add', digits: [2, 2], below: 60, rule: { lessons: ['five+1'], taught, order } })
    for (const order of ['highest', 'ones'] as const) {
      const limits: Limits = {
        operation: 'add',
        digits: [2, 2],
        below: 60,
        rule: { lessons: ['five+1'], taught, order },
      }
      let all = 0n
      for (let a = 10; a < 50; a++)
        for (let b = 10; a + b < 60; b++) if (isWithin(parseProblem(`${a} + ${b}`), limits)) all++
      expect([order, count(order)]).toEqual([order, all])
    }
    expect(count('highest')).not.toBe(count('ones'))
    // Worked by hand: with two fives complements and what comes before, 3 + 2 and 4 + 2 of one digit each.
    expect(countProblems({ operation: 'add', digits: [1, 1], rule: { lessons: ['five+2'] } })).toBe(2n)
    const two: Limits = { operation: 'add', digits: [2, 2], rule: { lessons: ['ten+9'], taught: ['direct+1'] } }
    for (const text of setProblems({ limits: two, count: 30, seed: 4 }))
      expect([text, isWithin(parseProblem(text), two)]).toEqual([text, true])
  })

  test('numbers to be counted out, and to be compared', () => {
    expect(countProblems({ operation: 'count', upTo: 5 })).toBe(5n)
    expect(countProblems({ operation: 'count', from: 20, upTo: 99 })).toBe(80n)
    expect(countProblems({ operation: 'compare', upTo: 9 })).toBe(36n)
    expect(countProblems({ operation: 'compare', upTo: 9, turned: true })).toBe(72n)
    expect(countProblems({ operation: 'compare', denominators: [4] })).toBe(3n)
    // 1/2 of quarters; n times 1/2, 1/3, 2/3 for n from 2 to 10.
    expect(countProblems({ operation: 'rename', denominators: [2, 3, 4] })).toBe(1n)
    expect(countProblems({ operation: 'multiply', denominators: [2, 3] })).toBe(27n)
    expect(countProblems({ operation: 'count', from: 6, upTo: 5 })).toBe(0n)
    for (const limits of [
      { operation: 'count', from: 11, upTo: 20 } as const,
      { operation: 'compare', from: 3, upTo: 7 } as const,
    ]) {
      const set = setProblems({ limits, count: 60, seed: 2 })
      expect(BigInt(set.length)).toBe(countProblems(limits))
      for (const text of set) expect([text, isWithin(parseProblem(text), limits)]).toEqual([text, true])
    }
  })

  test('fractions and numbers of either sign', () => {
    expect(countProblems({ operation: 'add', denominators: [3], alike: true })).toBe(3n)
    expect(countProblems({ operation: 'add', denominators: [2, 3], alike: false })).toBe(2n)
    expect(countProblems({ operation: 'subtract', denominators: [4] })).toBe(3n)
    expect(countProblems({ operation: 'add', signs: ['-', '+'], upTo: 10 })).toBe(100n)
    expect(countProblems({ operation: 'add', signs: ['-', '-'], upTo: 10 })).toBe(55n)
  })
})

describe('problems that are set', () => {
  test('each is within its limits, by another look at its digits; none twice or turned round; the same seed, the same set', () => {
    fc.assert(
      fc.property(limitsUpTo(2), fc.integer({ min: 0, max: 9999 }), (given, seed) => {
        const limits = sound(given)
        const all = bruteForce(limits)
        if (all.size === 0) return void expect(() => setProblems({ limits, count: 5, seed })).toThrow(Refusal)
        const set = setProblems({ limits, count: 12, seed })
        expect(set.length).toBeGreaterThan(0)
        expect(setProblems({ limits, count: 12, seed })).toEqual(set)
        const pairs = set.map((text) => text.split(/ [+\-*/] /).map(Number) as [number, number])
        for (const [a, b] of pairs) expect(all.has(`${a},${b}`) || all.has(`${b},${a}`)).toBe(true)
        const turns = limits.turned || (limits.operation !== 'add' && limits.operation !== 'multiply')
        const keys = pairs.map((p) => (turns ? p : [...p].sort((x, y) => x - y)).join())
        expect(new Set(keys).size).toBe(keys.length)
      }),
      { numRuns: 150 },
    )
  })

  test('a thousand of a step: every one read back has what was asked for', () => {
    for (let seed = 0; seed < 17; seed++)
      for (const text of setProblems({
        limits: { operation: 'subtract', digits: [3, 3], exchanges: [1, 2], acrossNought: true },
        count: 60,
        seed,
      })) {
        const f = featuresIn(text)
        expect([text, f.acrossNought, f.exchanges >= 1 && f.exchanges <= 2]).toEqual([text, true, true])
      }
  })

  test('all there are, where there are few, and never what has just been had', () => {
    const limits = { operation: 'add', digits: [1, 1], below: 6 } as const
    const all = setProblems({ limits, count: 60, seed: 1 })
    expect(BigInt(all.length)).toBe(countProblems(limits))
    const rest = setProblems({ limits, count: 60, seed: 1, without: ['2 + 1', '2+2'] })
    expect(rest).toHaveLength(all.length - 2)
    expect(rest).not.toEqual(expect.arrayContaining(['1 + 2']))
  })

  test('spread over what makes problems differ, and the hardest last', () => {
    const limits = { operation: 'subtract', digits: [3, 3] } as const
    /** How many of a set ask just the same, of the kind that most of them are of. */
    const most = (set: readonly string[]): number => {
      const kinds = set.map((t) => featuresIn(t).kind)
      return Math.max(...kinds.map((kind) => kinds.filter((k) => k === kind).length))
    }
    const over = (spread: boolean): number =>
      [1, 2, 3, 4, 5, 6, 7, 8].reduce((sum, seed) => sum + most(setProblems({ limits, count: 10, seed, spread })), 0)
    expect(over(true)).toBeLessThan(over(false) - 8)
    const hard = setProblems({ limits, count: 10, seed: 4, hardestLast: true }).map((t) => featuresIn(t).hardness)
    expect(hard).toEqual([...hard].sort((a, b) => a - b))
  })

  test('numbers that look alike', () => {
    expect([
      looksAlike('508', '518'),
      looksAlike('508', '580'),
      looksAlike('508', '719'),
      looksAlike('508', '508'),
    ]).toEqual([true, true, false, false])
    const set = setProblems({ limits: { operation: 'add', digits: [3, 1], lookAlike: true }, count: 6, seed: 2 })
    const firsts = set.map((t) => t.split(' ')[0]!)
    expect(firsts.every((a, i) => firsts.some((b, k) => i !== k && looksAlike(a, b)))).toBe(true)
  })

  test('decimals, signs and fractions are written so that they are read', () => {
    for (const limits of [
      { operation: 'add', digits: [3, 3], decimals: 2, below: 5 },
      { operation: 'subtract', signs: ['-', '-'], upTo: 9 },
      { operation: 'subtract', denominators: [4, 8], alike: false },
      { operation: 'multiply', digits: [3, 2] },
      { operation: 'divide', digits: [3, 1], remainder: true },
      { operation: 'add', addends: 4, digits: [4, 2, 3, 1], ragged: true },
    ] as const)
      for (const text of setProblems({ limits, count: 8, seed: 3 }))
        expect(parseProblem(text).terms.length).toBeGreaterThan(0)
    expect(setProblems({ limits: { operation: 'add', digits: [2, 2], decimals: 1 }, count: 1, seed: 3 })[0]).toMatch(
      /^\d\.\d \+ \d\.\d$/,
    )
  })
})

describe('limits that cannot be', () => {
  const refused = (limits: object): string => {
    try {
      countProblems(limits as Limits)
      return 'taken'
    } catch (error) {
      return (error as Error).message
    }
  }
  test.each([
    [{ operation: 'add', colour: 3 }, 'no limit called “colour”'],
    [{ operation: 'add', __proto__: null, constructor: 3 }, 'no limit called “constructor”'],
    [{ operation: 'root' }, '“operation” is add'],
    [{ operation: 'add', exchanges: 1 }, 'means nothing where one is to add'],
    [{ operation: 'add', digits: [2, 10] }, 'from 1 to 9'],
    [{ operation: 'add', addends: 3, digits: [2, 2] }, 'There are 3 numbers'],
    [{ operation: 'add', denominators: [4], digits: [2, 2] }, '“denominators” and “digits” do not go together'],
    [{ operation: 'multiply', digits: [3, 2], carries: 1 }, 'multiplies by one digit'],
    [{ operation: 'divide', digits: [6, 4] }, 'at most 3 digits'],
    [{ operation: 'add', carries: [2, 1] }, 'a number of columns'],
    [{ operation: 'count', digits: [2, 2] }, 'means nothing where one is to count'],
    [{ operation: 'add', upTo: 20 }, '“upTo” goes with “signs”'],
    [{ operation: 'add', rule: { lessons: ['six+2'] } }, 'lessons on beads'],
    [{ operation: 'add', rule: { lessons: ['five+2'], taught: 'all' } }, 'lessons on beads'],
    [{ operation: 'add', rule: { lessons: ['five+2'] }, addends: 3 }, '“rule” and “addends” do not go together'],
    [{ operation: 'multiply', by: [] }, 'up to twenty numbers'],
  ])('%j', (limits, says) => {
    expect(refused(limits)).toContain(says)
  })

  test('limits that leave nothing: the two that conflict, and the smallest change', () => {
    expect(conflictIn({ operation: 'add', digits: [2, 2] })).toBeNull()
    expect(conflictIn({ operation: 'subtract', digits: [2, 2], exchanges: 0, acrossNought: true })).toEqual({
      between: ['acrossNought'],
      change: { limit: 'acrossNought', to: false, leaves: expect.any(BigInt) },
    })
    const sums = conflictIn({ operation: 'add', digits: [2, 2], carries: 2, below: 100 })!
    expect(sums.between).toEqual(['carries', 'below'])
    expect(sums.change).toMatchObject({ limit: 'carries', to: 1 })
    expect(sums.change!.leaves).toBeGreaterThan(0n)
    expect(conflictIn({ operation: 'add', digits: [2, 2], ragged: true })!.between).toEqual(['ragged'])
    // Digits conflict with what is asked of the answer, and the least bound that leaves some is told.
    expect(conflictIn({ operation: 'add', digits: [3, 3], below: 100 })).toEqual({
      between: ['digits', 'below'],
      change: { limit: 'below', to: 201, leaves: 1n },
    })
    expect(conflictIn({ operation: 'subtract', digits: [1, 2] })).toEqual({
      between: ['digits'],
      change: { limit: 'digits', to: [2, 2], leaves: countProblems({ operation: 'subtract', digits: [2, 2] }) },
    })
  })
})
