import { listed } from '../../core/number/trail'
import fc from 'fast-check'
import { evaluate } from 'mathjs'
import { change, type Act } from '../../core/act/act'
import { exchangesFor } from '../../core/act/exchanges'
import { sameKind } from '../../core/course/sameKind'
import { DEFAULT_CHOICES } from '../../core/choices'
import { add, exact, multiply, ZERO, type Exact } from '../../core/number/exact'
import { numberText } from '../../core/number/text'
import {
  addPieces,
  decimal,
  ladderOf,
  opposite,
  parts,
  pieceName,
  piecesFor,
  worthOf,
  type Pieces,
  type Units,
} from '../../core/number/units'
import { plan } from '../../core/plan/plan'
import { parseProblem } from '../../core/problem/parse'
import { printProblem, type Problem } from '../../core/problem/problem'
import { enter, openBench } from '../../core/record/bench'
import { matchOf, outcome, slipsOf } from '../../core/record/outcome'
import { nextAct } from '../../core/record/ahead'
import type { Bench } from '../../core/record/moment'
import { recordOf, reopen } from '../../core/record/record'
import { SLIPS } from '../../core/record/slips'
import { REPRESENTATIONS } from '../../core/representation/index'
import { applyAll, type RepresentationId } from '../../core/representation/representation'
import { waysOf } from '../../core/way/index'
import { COINS, OWNED } from './owned'
import { PENS_ID, pens, withPens } from './toy'
import { chains } from './worlds'

withPens()

const heap = (units: Units): fc.Arbitrary<readonly Pieces[]> =>
  fc
    .array(fc.integer({ min: 0, max: 30 }), { minLength: units.worths.length, maxLength: units.worths.length })
    .map((counts) => units.worths.flatMap((unit, i) => (counts[i] ? [{ count: counts[i]!, unit }] : [])))

describe.each(OWNED)('units: %s', (_, units) => {
  test('what pieces are worth is made of pieces again, with as few as can be', () => {
    fc.assert(
      fc.property(heap(units), (pieces) => {
        const made = piecesFor(worthOf(pieces), units)
        expect(made && worthOf(made)).toBe(worthOf(pieces))
        const number = (all: readonly Pieces[]): number => all.reduce((n, p) => n + p.count, 0)
        // Parts are told in one kind, the largest of which they are; all else in as few pieces as can be.
        if (units.fractions) expect(made!.filter((p) => p.unit !== '1').length).toBeLessThan(2)
        else expect(number(made!)).toBeLessThanOrEqual(number(pieces))
      }),
    )
  })

  test('pieces added and taken away again are what they were; order does not matter', () => {
    fc.assert(
      fc.property(heap(units), heap(units), (a, b) => {
        expect(addPieces(addPieces(a, b), b, -1)).toEqual(a)
        expect(addPieces(a, b)).toEqual(addPieces(b, a))
        expect(worthOf(addPieces(a, b))).toBe(add(worthOf(a), worthOf(b)))
        expect(addPieces(a, opposite(a))).toEqual([])
      }),
    )
  })

  test('any heap becomes any other of the same worth by exchanges, each worth the same on both sides', () => {
    fc.assert(
      fc.property(heap(units), (a) => {
        const b = piecesFor(worthOf(a), units)!
        const acts = exchangesFor(addPieces(b, a, -1), units)!
        let lies = a
        for (const act of acts) {
          expect(worthOf(act.from)).toBe(worthOf(act.to))
          lies = addPieces(addPieces(lies, act.from, -1), act.to)
          if (ladderOf(units)) expect(lies.every((p) => p.count > 0)).toBe(true)
        }
        expect(lies).toEqual(b)
      }),
    )
  })
})

test('exchanges are undefined where the worths differ', () =>
  expect(exchangesFor([{ count: 1, unit: exact(10) }], decimal(2))).toBeUndefined())

test('pieces are called what their material calls them, else by their place or part', () => {
  const names = (units: Units, ...worths: string[]): string[] =>
    worths.flatMap((w) => [1, 2].map((n) => pieceName(w as Exact, n, units)))
  expect(names(pens.units, '144', '1')).toEqual(['gross', 'grosses', 'pen', 'pens'])
  expect(names(decimal(3, 1), '100', '1/10')).toEqual(['hundred', 'hundreds', 'tenth', 'tenths'])
  expect(names(parts(2, 8, 12), '1/2', '1/8', '1/12')).toEqual([
    'half',
    'halves',
    'eighth',
    'eighths',
    'twelfth',
    'twelfths',
  ])
  expect(names(COINS, '25', '5')).toEqual(['quarter', 'quarters', '5', '5'])
  expect(pieceName(exact(1), 3, decimal(2), ['unit', 'units'])).toBe('units')
})

test('a number is written as it was made', () => {
  const eighths = (count: number): readonly Pieces[] => [{ count, unit: '1/8' as Exact }]
  expect(numberText('1/2' as Exact, parts(2, 8), eighths(4))).toBe('4/8')
  expect(numberText('1/2' as Exact, parts(2, 8))).toBe('1/2')
  expect(numberText('37/5' as Exact, { worths: [exact(1)], decimals: 2 })).toBe('7.40')
  expect(numberText('-37/5' as Exact, { worths: [exact(1)], decimals: 2 })).toBe('-7.40')
  expect(numberText('37/5' as Exact, decimal(3, 2))).toBe('7.4')
})

/* --- a material whose pieces are no powers of ten, in step with those whose pieces are --- */

const PROBLEMS = ['52 - 37', '155 + 300', '144 - 1', '1000 - 999', '0 + 0', '11 + 1', '1440 + 143 + 144'].map(
  parseProblem,
)
const IN_STEP: readonly RepresentationId[] = [PENS_ID, 'blocks', 'columns']

describe('pens in ones, dozens and grosses', () => {
  const each = (law: (problem: Problem, way: ReturnType<typeof waysOf>[number]['way']) => void): void => {
    const all = (problem: Problem): void =>
      waysOf(problem, REPRESENTATIONS[PENS_ID]).forEach(({ way }) => law(problem, way))
    PROBLEMS.forEach(all)
    fc.assert(
      fc.property(
        chains(999).filter((p) => pens.fits(p).fits),
        all,
      ),
      { numRuns: 40 },
    )
  }

  test('every way ends at the answer, with true lines, whatever else is in step', () =>
    each((problem, way) => {
      const { steps, answer } = plan({ problem, representation: PENS_ID, way, also: IN_STEP.slice(1) })
      expect([answer, steps.at(-1)!.shows]).toEqual(Array(2).fill(String(evaluate(printProblem(problem)))))
      for (const { equation } of steps.flatMap((s) => s.lines))
        if (equation) expect([equation, evaluate(equation.replace('=', '=='))]).toEqual([equation, true])
    }))

  test.each(['pens', 'blocks', 'columns'])('led by %s, all show the same once each number is done', (main) => {
    each((problem) => {
      const also = IN_STEP.filter((id) => id !== main)
      const { steps } = plan({ problem, representation: main as RepresentationId, way: 'ones-first', also })
      const start = (id: RepresentationId): unknown => REPRESENTATIONS[id].start(problem, DEFAULT_CHOICES)
      for (const id of IN_STEP) {
        const state = applyAll(
          REPRESENTATIONS[id],
          start(id),
          steps.flatMap((s) => s.moves[id] ?? []),
        )
        expect([id, REPRESENTATIONS[id].shows(state)]).toEqual([id, steps.at(-1)!.shows])
      }
    })
  })

  test('acts come from moves and go back to them; moves are typed by the names of the material', () =>
    each((problem, way) => {
      let state = pens.start(problem, DEFAULT_CHOICES)
      for (const { act, moves } of plan({ problem, representation: PENS_ID, way }).steps) {
        const made = moves[PENS_ID] as ReturnType<typeof pens.parse>[]
        for (const move of made) expect(pens.parse(pens.print(move))).toEqual(move)
        const known = made.length > 0 ? pens.recognise(state, made) : [act]
        if (Array.isArray(known))
          expect((known as Act[]).reduce<Exact>((sum, a) => add(sum, change(a)), ZERO)).toBe(change(act))
        if (act.kind === 'exchange') {
          expect(worthOf(act.from)).toBe(worthOf(act.to))
          expect([act.from[0]!.count, act.to[0]!.count].map((n) => n % 12)).toContain(0)
        }
        state = applyAll(pens, state, made)
      }
    }))

  test('by hand: its own names in moves, refusals, lines and words', () => {
    const work = (b: Bench, ...moves: string[]): Bench =>
      moves.reduce((now, move) => enter(now, { at: 0, on: PENS_ID, move }), b)
    const b = work(
      openBench({ problem: '52 - 37', representation: PENS_ID, also: ['columns'] }, 'together'),
      'lay 52',
      'break dozen',
      'take 13 pens',
      'take 2 dozens',
    )
    const said = listed(b.now.stones).map((s) => s.say)
    expect(said.some((s) => s.includes('four dozens and four pens'))).toBe(true)
    expect(said).toContain('Exchange one dozen for twelve pens. Still fifty-two.')
    expect(listed(b.now.stones).flatMap((s) => s.lines.map((l) => l.text))).toEqual(
      expect.arrayContaining(['52 = 48 + 4', '52 = 36 + 16']),
    )
    expect(b.now.standing.value).toBe('15')
    expect(REPRESENTATIONS.columns.shows(b.now.states.columns)).toBe('15')
    expect(() => work(b, 'take 5 dozens')).toThrow('There is only 1 dozen on the mat; 5 are wanted.')
    expect(() => work(b, 'tie gross')).toThrow('It takes 12 dozens to make one gross; the mat has 1.')
    expect(() => work(b, 'take 1 ten')).toThrow('“ten” is not a place here.')
    expect(outcome(work(b, 'read 15')).right).toBe(true)
    expect(reopen(recordOf(b)).now.stones).toEqual(b.now.stones)
  })

  test('both by hand: where pieces are shared they are held against each other, elsewhere what they come to', () => {
    const open = openBench({ problem: '52 - 37', representation: PENS_ID, both: 'blocks' }, 'together')
    const moves: readonly (readonly [RepresentationId, string])[] = [
      [PENS_ID, 'lay 52'],
      ['blocks', 'lay 52'],
      [PENS_ID, 'break dozen'],
      ['blocks', 'break ten'],
      [PENS_ID, 'take 13 pens'],
      [PENS_ID, 'take 2 dozens'],
      ['blocks', 'take 7 ones'],
    ]
    const b = moves.reduce((now, [on, move]) => enter(now, { at: 0, on, move }), open)
    expect(matchOf(b)).toMatchObject({
      agree: false,
      gaps: [{ done: PENS_ID, missing: 'blocks', act: { kind: 'take', amount: '30' } }],
    })
    expect(matchOf(enter(b, { at: 0, on: 'blocks', move: 'take 3 tens' }))).toMatchObject({ agree: true, gaps: [] })
  })
})

describe('sharing out', () => {
  const divisions = fc.tuple(fc.nat(999), fc.integer({ min: 1, max: 12 }))

  test('what was laid is the number of plates times what each has, and what is left', () => {
    fc.assert(
      fc.property(divisions, ([dividend, divisor]) => {
        const { steps, quotient, remainder, answer } = plan({
          problem: `${dividend} / ${divisor}`,
          representation: 'plates',
          also: ['equations'],
        })
        expect([quotient, remainder]).toEqual([Math.floor(dividend / divisor), dividend % divisor].map(String))
        expect(evaluate(`${answer} == ${dividend} / ${divisor}`)).toBe(true)
        let each = ZERO
        for (const { act, shows, lines } of steps) {
          if (act.kind === 'share') each = add(each, worthOf(act.each))
          if (act.kind !== 'lay') expect(add(multiply(exact(divisor), each), shows)).toBe(String(dividend))
          for (const { equation } of lines)
            if (equation) expect([equation, evaluate(equation.replace('=', '=='))]).toEqual([equation, true])
        }
        expect(steps.at(-1)!.act).toEqual({ kind: 'read', value: quotient, remainder })
      }),
    )
  })

  test('612 ÷ 7, line by line and in words', () => {
    const { steps } = plan({ problem: '612 / 7', representation: 'plates' })
    expect(steps.flatMap((s) => s.lines.map((l) => l.text))).toEqual([
      '612 = 600 + 10 + 2',
      '612 = 610 + 2',
      '612 − 7 × 80 = 52',
      '52 = 52 * 1'.replace(' * ', ' × '),
      '52 − 7 × 7 = 3',
      '612 = 7 × 87 + 3',
    ])
    expect(steps.map((s) => s.say).at(-1)).toBe(
      'Six hundred and twelve divided by seven equals eighty-seven each, and three left over.',
    )
  })

  const work = (...moves: string[]): Bench =>
    moves.reduce(
      (b, move) => enter(b, { at: 0, on: 'plates', move }),
      openBench({ problem: '61 / 4', representation: 'plates' }, 'together'),
    )

  test('dealt one by one: plates that wait are named, and once all have the same it is one act', () => {
    const half = work('lay 61', 'put 1 ten on 1', 'put 1 ten on 3')
    expect([half.now.standing.value, half.now.stones.last!.owed]).toEqual([
      '41',
      'Not the same on every plate yet: plates 2 and 4 wait.',
    ])
    const all = work('lay 61', 'put 1 ten on 1', 'put 1 ten on 3', 'put 1 ten on 2', 'put 1 ten on 4')
    expect(all.now.stones.last).toMatchObject({
      owed: '',
      step: 'planned',
      acts: [{ kind: 'share', among: '4', each: [{ count: 1, unit: '10' }] }],
    })
  })

  test('what does not go round is told at once, and offered back', () => {
    const over = work('lay 61', 'deal 1 ten', 'put 1 ten on 1')
    expect(over.now.stones.last!.owed).toBe(
      'That does not go round: plates 2, 3 and 4 wait, and one ten is left. Take back what was dealt, and exchange.',
    )
    const back = work('lay 61', 'deal 1 ten', 'put 1 ten on 1', 'pick 1 ten from 1', 'break 2 tens')
    expect(listed(back.now.stones).every((s) => s.owed === '')).toBe(true)
    expect([back.now.standing.value, nextAct(back)]).toEqual([
      '21',
      { kind: 'share', each: [{ count: 5, unit: '1' }], among: '4' },
    ])
  })

  test.each([
    ['read 15 r 1', ['break 2 tens', 'deal 5 ones'], true, []],
    ['read 15', ['break 2 tens', 'deal 5 ones'], false, [SLIPS.shareMisread]],
    ['read 15 r 2', ['break 2 tens', 'deal 5 ones'], false, [SLIPS.shareMisread]],
    ['read 14 r 5', ['break 2 tens', 'deal 4 ones'], false, [SLIPS.shareShort]],
  ] as const)('%s', (read, moves, right, slips) => {
    const b = work('lay 61', 'deal 1 ten', ...moves, read)
    expect([outcome(b).right, slipsOf(b)]).toEqual([right, slips])
  })

  test('what is left over and not said is asked for; where nothing is left, it need not be said', () => {
    const without = work('lay 61', 'deal 1 ten', 'break 2 tens', 'deal 5 ones', 'read 15')
    expect(without.now.stones.last!.say).toBe('Fifteen each is right so far. Say what is left over, too.')
    const even = ['lay 12', 'break ten', 'deal 3 ones', 'read 3'].reduce(
      (b, move) => enter(b, { at: 0, on: 'plates', move }),
      openBench({ problem: '12 / 4', representation: 'plates' }, 'together'),
    )
    expect([outcome(even).right, slipsOf(even)]).toEqual([true, []])
    expect(even.now.stones.last!.say).toBe('Twelve divided by four equals three each, and nothing left over.')
  })

  test('the next of its kind leaves something over where this one does, and comes out where this one comes out', () => {
    for (const [asked, leaves] of [
      ['612 / 7', true],
      ['96 / 4', false],
    ] as const)
      for (let seed = 1; seed < 20; seed++) {
        const next = sameKind(parseProblem(asked), seed)!
        const { remainder } = plan({ problem: next, representation: 'plates' })
        expect([asked, printProblem(next), remainder !== '0']).toEqual([asked, printProblem(next), leaves])
      }
  })

  test.each([
    ['613 + 2', 'Plates are for sharing out: they divide, and nothing else.'],
    ['1000 / 4', '1000 is too much to deal out by hand: plates share up to 999.'],
    ['60 / 13', '13 plates are too many to see at once; there is room for 12.'],
    ['7.5 / 3', '7.5 is not a whole number from nought up, and plates share whole things.'],
  ])('%s does not fit, and why', (problem, why) =>
    expect(REPRESENTATIONS.plates.fits(parseProblem(problem))).toMatchObject({ fits: false, why }),
  )
})
