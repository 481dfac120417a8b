import fc from 'fast-check'
import { evaluate } from 'mathjs'
import { change, type Act } from '../../core/act/act'
import { DEFAULT_CHOICES } from '../../core/choices'
import { add, exact, multiply, ZERO, type Exact } from '../../core/number/exact'
import { listed } from '../../core/number/trail'
import { parseProblem } from '../../core/problem/parse'
import { printProblem } from '../../core/problem/problem'
import { plan, type Plan } from '../../core/plan/plan'
import { besideOf, setUp } from '../../core/plan/setup'
import { enter, openBench } from '../../core/record/bench'
import type { Bench } from '../../core/record/moment'
import { outcome, slipsOf } from '../../core/record/outcome'
import { recordOf, reopen } from '../../core/record/record'
import { attempt } from '../../core/refusal'
import { procedureFor } from '../../core/mistakes/index'
import { REPRESENTATIONS } from '../../core/representation/index'
import { applyAll, type RepresentationId } from '../../core/representation/representation'
import type { WayId } from '../../core/way/way'

/** Multiplying and dividing: the laws of every material for it, of hands on them, and the mistakes that have names. */

const factor = (most: number): fc.Arbitrary<number> => fc.integer({ min: 1, max: most })
const products = (a: number, b: number): fc.Arbitrary<string> =>
  fc.tuple(factor(a), factor(b)).map(([x, y]) => `${x} * ${y}`)
const quotients = (most: number): fc.Arbitrary<string> =>
  fc.tuple(fc.integer({ min: 0, max: most }), factor(12)).map(([x, y]) => `${x} / ${y}`)
const anyLength = (digits: number): fc.Arbitrary<number> =>
  factor(digits).chain((n) => fc.integer({ min: 10 ** (n - 1), max: 10 ** n - 1 }))
const longProducts = fc.oneof(
  fc
    .tuple(anyLength(9), factor(9))
    .filter(([a, b]) => a * b < 1e9)
    .map(([a, b]) => `${a} * ${b}`),
  fc.tuple(anyLength(4), fc.integer({ min: 10, max: 99 })).map(([a, b]) => `${a} * ${b}`),
)

const WORLDS: readonly (readonly [RepresentationId, WayId, fc.Arbitrary<string>, readonly RepresentationId[]])[] = [
  ['groups', 'equal-groups', products(12, 12), ['openline', 'blocks', 'fingers']],
  [
    'groups',
    'split-groups',
    fc.tuple(fc.integer({ min: 2, max: 12 }), factor(100)).map((p) => p.join(' * ')),
    ['blocks', 'openline'],
  ],
  ['area', 'by-parts', products(99, 99), ['blocks', 'openline']],
  ['area', 'by-digit', products(99, 99), ['product', 'blocks']],
  ['product', 'by-digit', longProducts, []],
  ['product', 'by-digit', products(99, 99), ['area']],
  ['division', 'long-division', quotients(999_999_999), []],
  ['division', 'long-division', quotients(999), ['plates', 'blocks']],
  ['plates', 'share-out', quotients(999), ['division', 'blocks']],
  ['plates', 'deal-rounds', quotients(20), []],
  ['plates', 'fill-plates', quotients(20), []],
]

/** What is asked, worked by BigInt alone. */
function outside(problem: string): { readonly answer: string; readonly rest: string } {
  const [a, operation, b] = problem.split(' ') as [string, string, string]
  if (operation === '*') return { answer: String(BigInt(a) * BigInt(b)), rest: '0' }
  return { answer: String(BigInt(a) / BigInt(b)), rest: String(BigInt(a) % BigInt(b)) }
}

/** Goes through a plan act by act, with what every material shows after it. */
function walk(
  made: Plan,
  also: readonly RepresentationId[],
  law: (act: Act, value: Exact, shown: Exact[]) => void,
): void {
  const setup = setUp({ problem: made.problem, representation: made.representation, way: made.way, also })
  const states = new Map(
    setup.all.map((id) => [id, REPRESENTATIONS[id].start(setup.worked, setup.choices, besideOf(setup))]),
  )
  let value = ZERO
  for (const { act, moves } of made.steps) {
    value = add(value, change(act))
    for (const id of setup.all) states.set(id, applyAll(REPRESENTATIONS[id], states.get(id), moves[id] ?? []))
    law(
      act,
      value,
      setup.all.map((id) => REPRESENTATIONS[id].shows(states.get(id))),
    )
  }
}

describe.each(WORLDS)('%s, %s', (representation, way, problems, also) => {
  test('comes to what BigInt says, with true lines', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const { answer, rest } = outside(problem)
        const made = plan({ problem, representation, way, also: ['equations'] })
        const last = made.steps.at(-1)!
        const read = last.act as Extract<Act, { kind: 'read' }>
        expect([problem, read.value, read.remainder ?? '0']).toEqual([problem, answer, rest])
        if (problem.includes('/')) expect([made.quotient, made.remainder]).toEqual([answer, rest])
        for (const { equation } of made.steps.flatMap((s) => s.lines))
          if (equation) expect([equation, evaluate(equation.replace('=', '=='))]).toEqual([equation, true])
      }),
      { numRuns: 80 },
    )
  })

  test('all in step show the same after every act', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const made = plan({ problem, representation, way, also })
        walk(made, also, (_, value, shown) => expect([problem, ...shown]).toEqual([problem, ...shown.map(() => value)]))
      }),
      { numRuns: 60 },
    )
  })

  test('moves are printed and read back; what is performed is recognised; states are plain JSON', () => {
    const r = REPRESENTATIONS[representation]
    fc.assert(
      fc.property(problems, (problem) => {
        const setup = setUp({ problem, representation, way })
        let state = r.start(setup.worked, setup.choices, besideOf(setup))
        for (const { act, moves } of plan({ problem, representation, way }).steps) {
          const own = moves[representation]!
          for (const move of own) expect(r.parse(r.print(move))).toEqual(move)
          if (own.length > 0) expect(r.recognise(state, own)).toEqual([act])
          const before = JSON.stringify(state)
          const after = applyAll(r, state, own)
          expect(JSON.stringify(state)).toBe(before)
          expect(JSON.parse(JSON.stringify(after))).toEqual(after)
          state = after
        }
      }),
      { numRuns: 60 },
    )
  })
})

test('20,000 long divisions are what BigInt says, and nothing is lost at any step: what was laid is among times what each has, and the rest', () => {
  let seed = 7
  const next = (most: number): number => (seed = (seed * 48271) % 2147483647) % most
  for (let i = 0; i < 20_000; i++) {
    const [of, by] = [BigInt(next(10 ** (1 + (i % 9)))), BigInt(1 + next(12))]
    const quotient = plan({ problem: `${of} / ${by}`, representation: 'division' })
    expect([of, by, quotient.quotient, quotient.remainder]).toEqual([of, by, String(of / by), String(of % by)])
    let [left, each] = [ZERO, ZERO]
    for (const { act } of quotient.steps) {
      left = add(left, change(act))
      if (act.kind === 'share') each = add(each, multiply(act.each[0]!.unit, exact(act.each[0]!.count)))
      if (act.kind !== 'lay' && act.kind !== 'read') expect(add(left, multiply(each, exact(by)))).toBe(String(of))
    }
  }
})

test('nine times a number comes to the same three ways, and by multiplying', () => {
  for (let n = 1; n <= 9; n++) {
    const right = String(9 * n)
    const read = (representation: RepresentationId, way?: WayId): string =>
      plan({ problem: `9 * ${n}`, representation, ...(way ? { way } : {}) }).steps.at(-1)!.shows
    expect([read('nines'), read('nine-tricks', 'one-less'), read('nine-tricks', 'ten-less'), read('groups')]).toEqual(
      new Array(4).fill(right),
    )
  }
})

/* --- hands --- */

const digit = fc.nat(9)
const place = fc.constantFrom('ones', 'tens', 'hundreds')
const said = (...verbs: string[]): fc.Arbitrary<string> =>
  fc.tuple(fc.constantFrom(...verbs), digit, place).map((m) => m.join(' '))
const number = (verb: string, most: number): fc.Arbitrary<string> => fc.nat(most).map((n) => `${verb} ${n}`)

const HANDS: readonly (readonly [RepresentationId, string, fc.Arbitrary<string>])[] = [
  [
    'division',
    '612 / 7',
    fc.oneof(
      fc.constantFrom(
        'set 612',
        'bring',
        'quotient 8',
        'quotient 7',
        'product 56',
        'difference 5',
        'fold',
        'quotient 0',
      ),
      number('quotient', 9),
      number('product', 63),
      number('difference', 20),
      number('say', 70),
      number('read', 90),
    ),
  ],
  [
    'groups',
    '7 * 8',
    fc.oneof(
      fc.constantFrom('group 1', 'group 1', 'group 1 of 7', 'back', 'turn', 'as array', 'as rings', 'part 5', 'part 2'),
      number('split after', 8),
      number('read', 60),
    ),
  ],
  [
    'area',
    '37 * 24',
    fc.oneof(
      fc.constantFrom(
        'split',
        'part 20 by 30 is 600',
        'part 20 by 7 is 140',
        'part 4 by 30 is 120',
        'part 4 by 7 is 28',
      ),
      fc
        .tuple(fc.constantFrom(20, 4), fc.constantFrom(30, 7), fc.nat(900))
        .map(([d, a, n]) => `part ${d} by ${a} is ${n}`),
      number('read', 999),
    ),
  ],
  [
    'product',
    '37 * 24',
    fc.oneof(
      fc.constantFrom('write 8 ones', 'carry 2 tens', 'write 4 tens', 'write 1 hundreds', 'write 0 ones row 2'),
      said('write', 'carry', 'sum'),
      said('write', 'carry').map((m) => `${m} row 2`),
      number('read', 999),
    ),
  ],
  [
    'plates',
    '61 / 4',
    fc.oneof(
      fc.constantFrom('lay 61', 'break ten', 'deal 1 ten', 'deal 5 ones', 'put 1 one on 2', 'pick 1 one from 2'),
      said('lay', 'return', 'deal', 'collect', 'break'),
      number('read', 20),
    ),
  ],
]

test.each(HANDS)('%s: whatever hands may do to %s is taken down with true lines, and replays', (id, problem, move) => {
  let taken = 0
  fc.assert(
    fc.property(fc.array(move, { maxLength: 16 }), (moves) => {
      let b: Bench = openBench({ problem, representation: id, also: ['equations', 'blocks'] }, 'together')
      const r = REPRESENTATIONS[id]
      for (const text of moves) {
        const allowed = attempt(() => r.apply(b.now.states[id], r.parse(text)))
        if ('refused' in allowed) continue
        // No attempt here: a refusal would fail the law, as it should.
        b = enter(b, { at: b.log.length, on: id, move: text })
        taken += 1
        expect([moves, b.now.standing.value]).toEqual([moves, r.shows(b.now.states[id])])
        expect(b.now.page.value).toBe(b.now.standing.value)
      }
      for (const { equation } of listed(b.now.stones).flatMap((s) => s.lines))
        if (equation) expect([equation, evaluate(equation.replace('=', '=='))]).toEqual([equation, true])
      expect(reopen(recordOf(b)).now.standing).toEqual(b.now.standing)
    }),
    { numRuns: 250 },
  )
  expect(taken).toBeGreaterThan(200)
})

const work = (on: RepresentationId, problem: string, ...moves: string[]): Bench =>
  moves.reduce(
    (b, move) => enter(b, { at: 0, on, move }),
    openBench({ problem, representation: on, also: ['equations'] }, 'alone'),
  )
const lastSaid = (b: Bench): string => b.now.stones.last!.say

describe('the loop of long division by hand', () => {
  const turn = ['quotient 1', 'product 6', 'difference 3', 'bring']
  test('each turn is one stone, and the fingers are part of it', () => {
    const b = work(
      'division',
      '94 / 6',
      'set 94',
      ...turn,
      'say 6',
      'say 12',
      'say 18',
      'say 24',
      'say 30',
      'say 36',
      'fold',
      'quotient 5',
      'product 30',
      'difference 4',
      'read 15 r 4',
    )
    expect(listed(b.now.stones).map((s) => s.label)).toEqual([
      'write 94',
      '6 × 1 ten',
      'bring down',
      '6 × 5 ones',
      'read 15 r 4',
    ])
    expect([outcome(b).right, slipsOf(b)]).toEqual([true, []])
    expect(listed(b.now.stones).at(-1)!.lines.at(-1)!.equation).toBe('94 = 6 * 15 + 4')
  })

  test.each([
    [
      'a remainder that is not smaller than the divisor',
      ['quotient 4', 'product 24', 'difference 10'],
      'another 6 still fits',
      'left a remainder that is not smaller than the divisor',
    ],
    ['a group too many', ['quotient 6', 'product 36'], '36 is more than 34', 'one group too many'],
    ['a wrong product', ['quotient 5', 'product 35'], '5 × 6 is not 35', 'wrote a line that does not hold'],
    [
      'a wrong difference',
      ['quotient 5', 'product 30', 'difference 5'],
      '34 − 30 is not 5',
      'wrote a line that does not hold',
    ],
    ['a step of the count that goes wrong', ['say 6', 'say 13'], '2 × 6 is not 13', 'wrote a line that does not hold'],
    ['a turn that stops after dividing', ['quotient 5'], 'Multiply: 5 × 6', ''],
    ['a turn that stops after multiplying', ['quotient 5', 'product 30'], 'Subtract: 34 − 30', ''],
  ])('%s is told, and named', (_, moves, told, slip) => {
    const b = work('division', '94 / 6', 'set 94', ...turn, ...moves)
    expect(lastSaid(b)).toContain(told)
    expect(b.now.stones.last!.slip).toBe(slip)
  })

  test('what was written wrongly is struck, stays, and is put right in the same turn', () => {
    const b = work(
      'division',
      '94 / 6',
      'set 94',
      ...turn,
      'quotient 4',
      'product 24',
      'difference 10',
      'quotient 5',
      'product 30',
      'difference 4',
    )
    const { tries } = b.now.states.division as { tries: readonly (readonly { digit: number }[])[] }
    expect(tries[1]!.map((t) => t.digit)).toEqual([4, 5])
    expect([b.now.stones.length, b.now.standing.value]).toEqual([4, '4'])
  })

  test('a square of the quotient left empty is told at once, and can still have its 0', () => {
    const left = work('division', '612 / 6', 'set 612', 'quotient 1', 'product 6', 'difference 0', 'bring', 'bring')
    expect(lastSaid(left)).toContain('Nothing stands over the tens')
    expect(left.now.stones.last!.slip).toBe('left out the 0 in the quotient')
    const right = enter(left, { at: 0, on: 'division', move: 'quotient 0 over tens' })
    expect(right.now.stones.last!.owed).toBe('')
  })

  test('where the class leaves the first square empty, no 0 is written before the first digit; within a quotient it always is', () => {
    const zeros = (problem: string, zero: 'write' | 'leave'): number =>
      plan({ problem, representation: 'division', choices: { division: { ...DEFAULT_CHOICES.division, zero } } })
        .steps.flatMap((s) => s.moves.division as { kind: string; digit?: number }[])
        .filter((m) => m.kind === 'quotient' && m.digit === 0).length
    expect([zeros('612 / 7', 'write'), zeros('612 / 7', 'leave')]).toEqual([1, 0])
    expect([zeros('612 / 6', 'write'), zeros('612 / 6', 'leave')]).toEqual([1, 1])
  })

  test('the class’s own names for the four steps are said', () => {
    const steps = ['share', 'times', 'take', 'pull down'] as const
    const { steps: made } = plan({
      problem: '94 / 6',
      representation: 'division',
      choices: { division: { ...DEFAULT_CHOICES.division, steps } },
    })
    expect(made[1]!.say).toMatch(/^Share: .* Times: .* Take: /)
    expect(made[2]!.say).toMatch(/^Pull down /)
  })

  test('a remainder of 0 is not written, and the check is a line', () => {
    const lines = plan({ problem: '84 / 7', representation: 'division' }).steps.at(-1)!.lines
    expect(lines.map((l) => l.equation)).toEqual(['84 / 7 = 12', '84 = 7 * 12'])
  })
})

describe('multiplying by hand', () => {
  test('a digit and its carry mark are one stone; the carry is asked for', () => {
    const b = work('product', '37 * 24', 'write 8 ones')
    expect(lastSaid(b)).toContain('Put a carry mark of 2 over the tens')
    const whole = enter(b, { at: 0, on: 'product', move: 'carry 2 tens' })
    expect(listed(whole.now.stones).map((s) => s.label)).toEqual(['4 × 7'])
  })

  test.each([
    ['added the carry before multiplying', ['write 8 ones', 'carry 2 tens', 'write 0 tens', 'write 2 hundreds']],
    ['forgot to add the carry', ['write 8 ones', 'carry 2 tens', 'write 2 tens', 'write 1 hundreds']],
    [
      'did not move the second row over',
      ['write 8 ones', 'carry 2 tens', 'write 4 tens', 'write 1 hundreds', 'write 4 ones row 2'],
    ],
  ])('%s', (slip, moves) => expect(slipsOf(work('product', '37 * 24', ...moves))).toContain(slip))

  test('a zero above needs no stone, and its square is filled on the way', () => {
    const b = work(
      'product',
      '306 * 4',
      'write 4 ones',
      'carry 2 tens',
      'write 2 tens',
      'write 2 hundreds',
      'write 1 thousands',
    )
    expect([b.now.standing.value, slipsOf(b)]).toEqual(['1224', []])
  })

  test('parts of a rectangle are filled in any order; a wrong one is struck and written again', () => {
    const b = work(
      'area',
      '37 * 24',
      'split',
      'part 4 by 7 is 28',
      'part 20 by 30 is 60',
      'part 20 by 30 is 600',
      'part 20 by 7 is 140',
      'part 4 by 30 is 120',
      'read 888',
    )
    expect(outcome(b).right).toBe(true)
  })

  test('an array split where the hand wants it is worked in just these parts', () => {
    const b = work('groups', '7 * 8', 'split after 3', 'part 3')
    const setup = b.setup
    expect(setup.way).toBe('equal-groups')
    const split = openBench(
      { problem: '7 * 8', representation: 'groups', way: 'split-groups', also: ['equations'] },
      'together',
    )
    const there = ['split after 3', 'part 3', 'part 4'].reduce(
      (now, move) => enter(now, { at: 0, on: 'groups', move }),
      split,
    )
    expect(listed(there.now.stones).flatMap((s) => s.lines.map((l) => l.equation))).toEqual([
      '7 * 8 = 3 * 8 + 4 * 8',
      '3 * 8 = 24',
      '4 * 8 = 32',
      '24 + 32 = 56',
    ])
  })

  test.each([
    ['stopped a group too early', ['group 1', 'group 1', 'read 16']],
    ['counted a group too many', ['group 1', 'group 1', 'group 1', 'group 1', 'read 32']],
    ['made a group of another size', ['group 1', 'group 1 of 7']],
  ])('groups: %s', (slip, moves) => expect(slipsOf(work('groups', '3 * 8', ...moves))).toContain(slip))
})

test('a product may be said in full', () => {
  for (const text of ['4 times as many as 6', '4 times 6', '4 Times as much as 6 =', '4 × 6'])
    expect([text, printProblem(parseProblem(text))]).toEqual([text, '4 * 6'])
})

test('in a count in steps the number begun from is no group', () => {
  const b = work('fingers', '3 * 8', 'count from 0 by 8 times 3', 'on 0', 'on 8', 'on 16', 'read 16')
  expect(slipsOf(b)[0]).toBe('started the count on the first number')
})

describe('mistaken answers', () => {
  test.each([
    ['7 * 8', '48', 'one group too few'],
    ['7 * 8', '64', 'one group too many'],
    ['7 * 8', '15', 'added instead of multiplying'],
    ['9 * 4', '9', 'counted the fingers to the left as ones'],
    ['37 * 4', '58', 'multiplied one column only'],
    ['37 * 4', '208', 'added the carry before multiplying'],
    ['37 * 4', '128', 'forgot to add the carry'],
    ['37 * 24', '222', 'did not move the second row over'],
    ['612 / 6', '12', 'left out the 0 in the quotient'],
    ['612 / 7', '8', 'forgot to bring down'],
    ['94 / 6', '14', 'one group too few'],
    ['94 / 6', '16', 'one group too many'],
    ['612 / 7', '89', 'subtracted upwards: the smaller digit from the greater'],
  ])('%s read as %s: %s', (problem, given, name) =>
    expect(procedureFor(parseProblem(problem), given as Exact)?.name).toBe(name),
  )

  test('no procedure gives the right answer', () => {
    fc.assert(
      fc.property(fc.oneof(longProducts, quotients(99_999)), (problem) => {
        const { answer } = outside(problem)
        expect([problem, procedureFor(parseProblem(problem), answer as Exact)?.name]).toEqual([problem, undefined])
      }),
    )
  })
})

test.each([
  ['13 * 8', 'groups', '13 groups of 8 are too many'],
  ['3 * 101', 'groups', 'too many to see at once'],
  ['100 * 3', 'area', 'The sides of the rectangle are 99'],
  ['123 * 456', 'product', 'by one digit, or by two'],
  ['12345 * 67', 'product', '4 digits at the most'],
  ['612 / 13', 'division', '13 is too much to count in steps'],
  ['612 / 0', 'division', 'Nothing can be divided by nought'],
  ['7 / 0.5', 'division', 'not a whole number'],
  ['7 + 8', 'division', 'divides, and nothing else'],
] as const)('%s does not fit on %s, and it says why', (problem, id, why) => {
  const fit = attempt(() => REPRESENTATIONS[id].fits(parseProblem(problem)))
  expect('ok' in fit ? (fit.ok.fits ? 'fits' : fit.ok.why) : fit.refused.message).toContain(why)
})
