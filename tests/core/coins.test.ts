import fc from 'fast-check'
import { evaluate } from 'mathjs'
import { change, type Act } from '../../core/act/act'
import { DEFAULT_CHOICES } from '../../core/choices'
import {
  CURRENCIES,
  MONEY_SETS,
  moneyText,
  valuesOf as piecesOf,
  type MoneyChoices,
  type MoneySet,
} from '../../core/number/money'
import { add, exact, ZERO, type Exact } from '../../core/number/exact'
import { listed } from '../../core/number/trail'
import { procedureFor } from '../../core/mistakes/index'
import { heapOf, heapProblem } from '../../core/problem/heap'
import { parseProblem } from '../../core/problem/parse'
import { printProblem } from '../../core/problem/problem'
import { plan } from '../../core/plan/plan'
import { besideOf, setUp } from '../../core/plan/setup'
import { enter, openBench } from '../../core/record/bench'
import type { Bench } from '../../core/record/moment'
import { outcome, slipsOf } from '../../core/record/outcome'
import { recordOf, reopen } from '../../core/record/record'
import { attempt } from '../../core/refusal'
import { REPRESENTATIONS } from '../../core/representation/index'
import { applyAll, type RepresentationId } from '../../core/representation/representation'
import { waysOf } from '../../core/way/index'
import type { WayId } from '../../core/way/way'

/** Coins that no ready set has, where taking the greatest first is not fewest. */
const OWN = { small: 'k', large: '', hundred: false, coins: [1, 3, 4, 30].map((value) => ({ value, across: 20 })) }
const money = (set: MoneySet, notes = false): { money: MoneyChoices } => ({ money: { set, notes, own: OWN } })
const valuesOf = (set: MoneySet): readonly number[] => piecesOf(money(set).money)
const sets = fc.constantFrom(...MONEY_SETS)

/** A class's coins, and a heap of them: up to sixty, in any order, kinds also twice. */
const heaps = sets.chain((set) =>
  fc
    .array(fc.tuple(fc.integer({ min: 1, max: 12 }), fc.constantFrom(...valuesOf(set))), { minLength: 2, maxLength: 5 })
    .map((kinds) => ({ set, problem: kinds.map(([n, v]) => `${n} * ${v}`).join(' + ') })),
)
const payments = sets.chain((set) =>
  fc
    .array(fc.integer({ min: 1, max: 300 }), { minLength: 1, maxLength: 3 })
    .map((all) => ({ set, problem: all.join(' + ') })),
)
const changes = sets.chain((set) =>
  fc
    .tuple(fc.integer({ min: 1, max: 998 }), fc.integer({ min: 1, max: 999 }))
    .map(([price, more]) => ({ set, problem: `${price + more} - ${price}` })),
)

const WORLDS: readonly (readonly [
  WayId,
  fc.Arbitrary<{ set: MoneySet; problem: string }>,
  readonly RepresentationId[],
])[] = [
  ['sort-and-count', heaps, ['blocks', 'openline']],
  ['stack-and-add', heaps, ['blocks', 'openline']],
  ['pay-fewest', payments, ['blocks', 'openline']],
  ['change-up', changes, ['openline']],
]

describe.each(WORLDS)('coins, %s', (way, problems, also) => {
  const r = REPRESENTATIONS.coins
  test('ends at the answer, with true lines, in step with the others', () => {
    fc.assert(
      fc.property(problems, ({ set, problem }) => {
        const choices = money(set)
        const made = plan({ problem, representation: 'coins', way, also: [...also, 'equations'], choices })
        const setup = setUp({ problem, representation: 'coins', way, also, choices })
        const states = new Map(
          setup.all.map((id) => [id, REPRESENTATIONS[id].start(setup.worked, setup.choices, besideOf(setup))]),
        )
        let value = ZERO
        for (const { act, moves } of made.steps) {
          value = add(value, change(act))
          for (const id of setup.all) states.set(id, applyAll(REPRESENTATIONS[id], states.get(id), moves[id] ?? []))
          const shown = setup.all.map((id) => REPRESENTATIONS[id].shows(states.get(id)))
          expect([problem, ...shown]).toEqual([problem, ...shown.map(() => value)])
        }
        expect(value).toBe(String(evaluate(problem)))
        for (const { equation } of made.steps.flatMap((s) => s.lines))
          if (equation) expect([equation, evaluate(equation.replace('=', '=='))]).toEqual([equation, true])
      }),
      { numRuns: 60 },
    )
  })

  test('moves are printed and read back, and recognised as what they do', () => {
    fc.assert(
      fc.property(problems, ({ set, problem }) => {
        const setup = setUp({ problem, representation: 'coins', way, choices: money(set) })
        let state = r.start(setup.worked, setup.choices, besideOf(setup))
        for (const { act, moves } of plan({ problem, representation: 'coins', way, choices: money(set) }).steps) {
          for (const move of moves.coins!) {
            expect(r.parse(r.print(move))).toEqual(move)
            const own = r.recognise(state, [move]) as readonly Act[]
            if (moves.coins!.length === 1) expect(own.map(change)).toEqual([change(act)])
            state = r.apply(state, move)
          }
        }
        expect(JSON.parse(JSON.stringify(state))).toEqual(state)
      }),
      { numRuns: 60 },
    )
  })
})

test('every coin of a heap is counted just once, kind by kind from the greatest', () => {
  fc.assert(
    fc.property(heaps, ({ set, problem }) => {
      const { steps } = plan({ problem, representation: 'coins', way: 'sort-and-count', choices: money(set) })
      const counted = steps
        .flatMap((s) => s.moves.coins as { kind: string; value: number }[])
        .filter((m) => m.kind === 'count')
      const values = counted.map((m) => m.value)
      expect(values).toEqual([...values].sort((a, b) => b - a))
      const asked = heapOf(parseProblem(problem))!.flatMap((k) => new Array<number>(k.count).fill(k.value))
      expect([...values].sort()).toEqual([...asked].sort())
    }),
  )
})

test('a whole hundred is put together first, wherever some coins make one', () => {
  const { steps } = plan({
    problem: '3 * 25 + 1 * 50 + 2 * 10',
    representation: 'coins',
    way: 'pairs-first',
    choices: money('us'),
  })
  const totals = steps.flatMap((s) => (s.act.kind === 'join' || s.act.kind === 'lay' ? [s.shows] : []))
  expect(totals).toEqual(['50', '75', '100', '125', '135', '145'])
  const ways = (problem: string): string[] => waysOf(parseProblem(problem), REPRESENTATIONS.coins).map((w) => w.way)
  expect(ways('3 * 25 + 2 * 10')).not.toContain('pairs-first')
})

test('a heap is a problem like any other: printed, read back, and worked as it was asked', () => {
  fc.assert(
    fc.property(heaps, ({ problem }) => {
      const heap = heapOf(parseProblem(problem))!
      expect(printProblem(heapProblem(heap))).toBe(problem)
    }),
  )
})

const work = (problem: string, ...moves: string[]): Bench => workWith('us', problem, ...moves)
const workWith = (set: MoneySet, problem: string, ...moves: string[]): Bench =>
  moves.reduce(
    (b, move) => enter(b, { at: 0, on: 'coins', move }),
    openBench({ problem, representation: 'coins', also: ['equations'], choices: money(set) }, 'alone'),
  )

describe('counting by hand', () => {
  test.each([
    ['kept counting by the last value', ['count 25', 'count 25', 'count 25', 'count 10 saying 100']],
    [
      'kept counting by the last value',
      ['count 25 saying 25', 'count 25 saying 50', 'count 25 saying 75', 'count 10 saying 100'],
    ],
    ['counted on by one, not by the coin', ['count 25 saying 25', 'count 25 saying 26']],
    ['said a number that the step does not lead to', ['count 25 saying 25', 'count 25 saying 60']],
    ['kept counting by the last value', ['count 25', 'count 25', 'count 25', 'count 10', 'count 10', 'read 125']],
    [
      'counted the coins instead of their value',
      ['count 25', 'count 25', 'count 25', 'count 10', 'count 10', 'read 5'],
    ],
    ['counted a coin twice', ['count 25', 'count 25', 'count 25', 'count 10', 'count 10', 'read 105']],
    ['left a coin out', ['count 25', 'count 25', 'count 25', 'count 10', 'count 10', 'read 85']],
  ])('%s: %j', (slip, moves) => expect(slipsOf(work('3 * 25 + 2 * 10', ...moves))).toContain(slip))

  test('of the price and what was paid, the price is where one counts from', () => {
    const slips = (...moves: string[]) => slipsOf(work('200 - 135', 'from 135 to 200', ...moves))
    expect(slips('count 5 saying 140', 'count 10 saying 150', 'count 50 saying 200')).toEqual([])
    expect(slips('count 5 saying 205')).toEqual(['counted the change from what was paid, not from the price'])
    expect(slips('count 5 saying 195')).toEqual(['counted the change from what was paid, not from the price'])
  })

  test('a larger coin of less value is counted before a smaller one of more, or for it', () => {
    const name = 'took the larger coin for the one of more value'
    expect(slipsOf(work('3 * 10 + 2 * 5', 'count 5'))).toEqual([name])
    expect(slipsOf(work('3 * 25 + 2 * 5', 'count 5'))).toEqual([])
    const all = ['count 10', 'count 10', 'count 10', 'count 5', 'count 5']
    expect(slipsOf(work('3 * 10 + 2 * 5', ...all, 'read 35'))).toEqual([name])
    // Of our own coins all are as large, so that none is taken for another.
    const own = ['count 4', 'count 4', 'count 3']
    expect(slipsOf(workWith('own', '2 * 4 + 1 * 3', ...own, 'read 10'))).not.toContain(name)
  })

  test('1.5 is not written for 1.05', () => {
    const all = ['count 100', 'count 5']
    expect(slipsOf(work('1 * 100 + 1 * 5', ...all, 'read 1.5'))).toEqual(['wrote 1.5 for 1.05'])
    expect(outcome(work('1 * 100 + 1 * 5', ...all, 'read $1.05')).right).toBe(true)
    expect(outcome(work('1 * 100 + 1 * 5', ...all, 'read 105')).right).toBe(true)
  })

  test('a word that goes on from a wrong one is not named again', () =>
    expect(
      slipsOf(work('3 * 25 + 2 * 10', 'count 25 saying 25', 'count 25 saying 60', 'count 25 saying 85')),
    ).toHaveLength(1))

  test('the price and what was paid are not added', () =>
    expect(slipsOf(work('200 - 135', 'from 135 to 200', 'count 5', 'count 10', 'count 50', 'read 335'))).toEqual([
      'added what was paid to the price',
    ]))

  test('a coin counted can be exchanged for others of the same worth; an unfair exchange is refused', () => {
    const b = work('3 * 25', 'count 25', 'swap 25 for 10 10 5')
    expect([b.now.standing.value, (b.now.states.coins as { counted: number[] }).counted]).toEqual(['25', [10, 10, 5]])
    const refused = attempt(() => enter(b, { at: 0, on: 'coins', move: 'swap 10 10 for 25' }))
    expect('refused' in refused && refused.refused.message).toContain('no fair exchange')
  })

  test('where the kind changes that is said, and so is the amount in the large unit', () => {
    const { steps } = plan({ problem: '4 * 25 + 3 * 10', representation: 'coins', choices: money('us') })
    expect(steps.map((s) => s.say)).toContain('Stop. Now three ten-cent coins.')
    expect(steps.at(-1)!.say).toContain('Four times twenty-five add three times ten')
    expect(steps.at(-1)!.lines.map((l) => l.text)).toContain('130¢ = $1.30')
  })
})

const moves = fc.oneof(
  fc.constantFrom('count 25', 'count 10', 'count 5', 'back 25', 'back 10', 'swap 25 for 10 10 5', 'swap 10 for 5 5'),
  fc.tuple(fc.constantFrom(25, 10, 1), fc.nat(120)).map(([v, w]) => `count ${v} saying ${w}`),
  fc.nat(120).map((n) => `read ${n}`),
)
test.each(['3 * 25 + 2 * 10', '87', '200 - 135'])(
  '%s: whatever hands do is taken down with true lines, and replays',
  (problem) => {
    let taken = 0
    fc.assert(
      fc.property(fc.array(moves, { maxLength: 14 }), (texts) => {
        let b = openBench({ problem, representation: 'coins', also: ['equations', 'openline'] }, 'together')
        for (const text of texts) {
          const r = REPRESENTATIONS.coins
          if ('refused' in attempt(() => r.apply(b.now.states.coins, r.parse(text)))) continue
          b = enter(b, { at: b.log.length, on: 'coins', move: text })
          taken += 1
          expect([texts, b.now.standing.value]).toEqual([texts, r.shows(b.now.states.coins)])
        }
        for (const { equation } of listed(b.now.stones).flatMap((s) => s.lines))
          if (equation) expect([equation, evaluate(equation.replace('=', '=='))]).toEqual([equation, true])
        expect(reopen(recordOf(b)).now.standing).toEqual(b.now.standing)
      }),
      { numRuns: 150 },
    )
    expect(taken).toBeGreaterThan(200)
  },
)

test('change is right when what was given is the difference', () => {
  const b = work('200 - 135', 'from 135 to 200', 'count 5', 'count 10', 'count 50', 'read 65')
  expect(outcome(b).right).toBe(true)
})

test.each([
  ['3 * 20', 'us', 'no coin of 20'],
  ['61 * 1', 'us', 'too many to be told apart'],
  ['5 + 3 - 2', 'us', 'counted, paid, or given as change'],
  ['0', 'us', 'Nothing is paid with no coins'],
  ['5 - 8', 'us', 'only where more was paid'],
  ['1.5', 'us', 'in the small unit'],
  ['9999 - 1', 'us', 'are the most here'],
] as const)('%s with %s coins does not fit, and it says why', (problem, set, why) => {
  const fit = REPRESENTATIONS.coins.fits(parseProblem(problem), { ...DEFAULT_CHOICES, ...money(set) })
  expect(fit.fits ? 'fits' : fit.why).toContain(why)
})

test('an amount is written in the class’s money, with two places from a whole on', () => {
  expect([
    moneyText(99, CURRENCIES.us),
    moneyText(105, CURRENCIES.us),
    moneyText(200, CURRENCIES.uk),
    moneyText(5, CURRENCIES.euro),
  ]).toEqual(['99¢', '$1.05', '£2.00', '5c'])
})

test('mistaken answers to a product are not told as coins', () =>
  expect(procedureFor(parseProblem('3 * 25'), exact(100) as Exact)?.name).toBe('one group too many'))

describe('is it enough', () => {
  test.each([
    ['3 * 25 + 2 * 10 ? 99', 'Ninety-five is not enough: four more are wanted.', '95 < 99'],
    ['3 * 25 + 2 * 10 ? 95', 'Ninety-five: just enough.', '95 = 95'],
    ['is 3 x 25 + 2 x 10 enough for 94', 'Ninety-five is enough, and one is left.', '95 > 94'],
    ['3 * 25 ? 60', 'Seventy-five is enough, and fifteen are left.', '75 > 60'],
  ])('%s is counted and then held against the price', (problem, said, line) => {
    const { steps } = plan({ problem, representation: 'coins', also: ['equations'], choices: money('us') })
    expect(steps.at(-1)!.say).toContain(said)
    expect(steps.at(-1)!.lines.at(-1)?.text).toBe(line)
    expect(steps.filter((s) => s.act.kind === 'read')).toEqual([])
  })
  const counted = ['count 25', 'count 25', 'count 25', 'count 10', 'count 10']
  test('by hand it is right only where the sign is, and all has been counted', () => {
    const end = (...moves: string[]) => outcome(work('3 * 25 + 2 * 10 ? 99', ...moves))
    expect(end(...counted, 'compare 95 < 99')).toMatchObject({ finished: true, right: true })
    expect(end(...counted, 'compare 95 > 99')).toMatchObject({ finished: true, right: false })
    expect(end('count 25', 'compare 25 < 99')).toMatchObject({ finished: true, right: false })
    expect(end(...counted, 'compare 95 < 99', 'back 10')).toMatchObject({ finished: false })
  })
  test('it is a problem like any other: printed and read back', () => {
    const problem = parseProblem('3 * 25 + 2 * 10 ? 99')
    expect(printProblem(problem)).toBe('3 * 25 + 2 * 10 ? 99')
    expect(parseProblem(printProblem(parseProblem('3 * 25 ? 60')))).toEqual(parseProblem('3 * 25 ? 60'))
    for (const id of ['blocks', 'strips', 'line', 'groups'] as const)
      expect([id, REPRESENTATIONS[id].fits(problem, DEFAULT_CHOICES).fits]).toEqual([id, false])
  })
})

describe('without some kinds', () => {
  test('what is not there is not paid with, and not given as change', () => {
    const coins = (problem: string) =>
      plan({ problem, representation: 'coins', choices: money('us') }).steps.flatMap((s) =>
        (s.moves.coins as { kind: string; value: number }[]).filter((m) => m.kind === 'count').map((m) => m.value),
      )
    expect(coins('87')).toEqual([50, 25, 10, 1, 1])
    expect(coins('87 without 50 and 10s')).toEqual([25, 25, 25, 5, 5, 1, 1])
    expect(coins('200 - 135 without 50')).toEqual([5, 10, 25, 25])
  })
  test('printed and read back; where nothing is left to pay with that is said', () => {
    const problem = parseProblem('87 without 10, 50')
    expect([printProblem(problem), problem.without]).toEqual(['87 without 50 and 10', [50, 10]])
    expect(parseProblem(printProblem(problem))).toEqual(problem)
    const fit = REPRESENTATIONS.coins.fits(parseProblem('87 without 1'), { ...DEFAULT_CHOICES, ...money('us') })
    expect(fit.fits ? '' : fit.why).toBe('These coins do not make 87.')
    expect(() => parseProblem('87 without care')).toThrow('no coin that could be left out')
    expect(() => work('87 without 50', 'count 50')).toThrow('There is no coin of 50 here.')
  })
})

describe('amounts of money as they are typed', () => {
  test.each([
    ['$2.00 - $1.35', '200 - 135'],
    ['£1 + 20p', '100 + 20'],
    ['2.05 € - 80c', '205 - 80'],
    ['3 * 25¢ + 2 * 10¢', '3 * 25 + 2 * 10'],
    ['$0.05', '5'],
    ['$1,250.00 - $2.50', '125000 - 250'],
  ])('%s is %s', (typed, plain) => expect(parseProblem(typed)).toEqual(parseProblem(plain)))
  test.each([
    ['$1.5', 'Like $1.50.'],
    ['1.355€', 'Like 1.35€.'],
    ['1.5¢', 'part of the smallest coin'],
    ['$', 'not part of a problem'],
  ])('%s is refused: %s', (typed, why) => expect(() => parseProblem(typed)).toThrow(why))
  test('letters that are no money are still letters', () =>
    expect(() => parseProblem('5 cats')).toThrow('There is a letter, “c”'))
})

describe('paper money and a class’s own coins', () => {
  const steps = (problem: string, choices: { money: MoneyChoices }) =>
    plan({ problem, representation: 'coins', choices }).steps
  test('notes pay and are counted where the class wants them, and are there only then', () => {
    const paid = steps('1735', money('us', true)).flatMap((s) => s.moves.coins as { kind: string; value: number }[])
    expect(paid.filter((m) => m.kind === 'count').map((m) => m.value)).toEqual([1000, 500, 100, 100, 25, 10])
    const heap = steps('1 * 500 + 2 * 25', money('us', true))
    expect(heap.at(-1)!.lines.map((l) => l.text)).toContain('550¢ = $5.50')
    expect(steps('2 * 500 + 1 * 2000', money('uk', true)).map((s) => s.say)).toContain(
      'Stop. Now two five-pound notes.',
    )
    const without = REPRESENTATIONS.coins.fits(parseProblem('1 * 500'), { ...DEFAULT_CHOICES, ...money('us') })
    expect(without.fits ? '' : without.why).toContain('no coin of 500')
  })
  test('own coins are counted, said and written as the class has them', () => {
    const made = steps('4 * 30 + 2 * 4', money('own'))
    expect(made.map((s) => s.say)).toContain('Stop. Now two coins of four.')
    expect(
      made
        .at(-1)!
        .lines.map((l) => l.text)
        .join(),
    ).not.toContain('=  ')
    expect(moneyText(128, { ...OWN })).toBe('128k')
    const paid = steps('6', money('own')).flatMap((s) => s.moves.coins as { kind: string; value: number }[])
    expect(paid.filter((m) => m.kind === 'count').map((m) => m.value)).toEqual([3, 3])
  })
})
