import fc from 'fast-check'
import { evaluate } from 'mathjs'
import { DEFAULT_CHOICES } from '../../core/choices'
import type { Exact } from '../../core/number/exact'
import { listed } from '../../core/number/trail'
import { parseProblem } from '../../core/problem/parse'
import { printProblem } from '../../core/problem/problem'
import { plan } from '../../core/plan/plan'
import { enter, openBench } from '../../core/record/bench'
import type { Bench } from '../../core/record/moment'
import { outcome, slipsOf } from '../../core/record/outcome'
import { recordOf, reopen } from '../../core/record/record'
import { attempt } from '../../core/refusal'
import { procedureFor } from '../../core/mistakes/index'
import { REPRESENTATIONS } from '../../core/representation/index'
import type { RepresentationId } from '../../core/representation/representation'

/** Multiplying and dividing by hand: whatever hands may do is taken down truly, and the mistakes that have names are named. */

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
  // Some hundreds as a rule; with far fewer the law would say little.
  expect(taken).toBeGreaterThan(100)
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
})
