import { listed } from '../../core/number/trail'
import Decimal from 'decimal.js'
import fc from 'fast-check'
import * as mathjs from 'mathjs'
import { change, type Act } from '../../core/act/act'
import { DEFAULT_CHOICES } from '../../core/choices'
import { plan } from '../../core/index'
import { add, exact, ZERO } from '../../core/number/exact'
import { printExact } from '../../core/number/numeral'
import { printProblem, type Problem } from '../../core/problem/problem'
import { enter, openBench } from '../../core/record/bench'
import type { Bench } from '../../core/record/moment'
import { columns } from '../../core/representation/columns/columns'
import type { ColumnsState } from '../../core/representation/columns/state'
import { REPRESENTATIONS } from '../../core/representation/index'
import { applyAll } from '../../core/representation/representation'
import { waysOf } from '../../core/way/index'
import { decimals, ragged } from './worlds'

const { bignumber } = mathjs
const math = mathjs.create(mathjs.all!, { number: 'BigNumber', precision: 40 })
/** The answer by a general library of decimal arithmetic. */
const outside = (problem: Problem): string =>
  [problem.first, ...problem.terms]
    .reduce((sum, t, i) => {
      if (i === 0) return new Decimal(printProblem({ first: problem.first, terms: [] }))
      const term = problem.terms[i - 1]!
      const n = new Decimal(printProblem({ first: term.number, terms: [] }))
      return term.operation === '+' ? sum.plus(n) : sum.minus(n)
    }, new Decimal(0))
    .toString()

describe.each([
  ['up to eight ragged addends', ragged()],
  ['decimals', decimals()],
] as const)('%s on the column sheet', (_, problems) => {
  const each = (law: (problem: Problem, way: string) => void): void =>
    fc.assert(
      fc.property(problems, (problem) => {
        for (const { way } of waysOf(problem, columns)) law(problem, way)
      }),
      { numRuns: 80 },
    )

  test('the answer is the outside answer, and every line holds', () =>
    each((problem, way) => {
      const planned = plan({ problem, representation: 'columns', way: way as never })
      expect(printExact(planned.answer)).toBe(outside(problem))
      for (const line of planned.steps.flatMap((s) => s.lines)) {
        if (!line.equation) continue
        const [left, right] = line.equation.split(' = ').map((side) => math.evaluate(side!))
        expect([line.equation, bignumber(left).equals(bignumber(right))]).toEqual([line.equation, true])
      }
    }))

  test('sheet and page show the same after every act; moves are undone, read back and recognised', () =>
    each((problem, way) => {
      const { steps } = plan({ problem, representation: 'columns', way: way as never, also: ['equations'] })
      const states = new Map(
        (['columns', 'equations'] as const).map((id) => [id, REPRESENTATIONS[id].start(problem, DEFAULT_CHOICES)]),
      )
      let value = ZERO
      for (const { act, moves } of steps) {
        value = add(value, change(act))
        for (const id of ['columns', 'equations'] as const) {
          const r = REPRESENTATIONS[id]
          let state = states.get(id)
          if (moves[id]!.length > 0) expect(r.recognise(state, moves[id]!)).toEqual([act])
          for (const move of moves[id]!) {
            const next = r.apply(state, move)
            expect(r.parse(r.print(move))).toEqual(move)
            state = next
          }
          states.set(id, state)
          expect([id, r.shows(state)]).toEqual([id, value])
        }
      }
    }))
})

const work = (problem: string, ...moves: string[]): Bench =>
  moves.reduce(
    (b, move) => enter(b, { at: 0, on: 'columns', move }),
    openBench(
      { problem, representation: 'columns', way: problem.split('+').length > 2 ? 'by-column' : undefined },
      'alone',
    ),
  )
const acts = (b: Bench): Act['kind'][] => listed(b.now.stones).flatMap((s) => s.acts.map((a) => a.kind))

describe('numbers written under, digit by digit', () => {
  test('flush right it is the next number; out of line it is seen at the first digit and pulled right', () => {
    const right = work('6842 + 593', 'write 6842', 'digit 3 ones', 'digit 9 tens', 'digit 5 hundreds')
    expect(acts(right)).toEqual(['lay', 'pose'])
    const left = work('6842 + 593', 'write 6842', 'digit 5 thousands')
    expect(left.now.stones.last!.owed).toBe(
      'Ones under ones: this number stands too far to the left. Pull it 1 square to the right.',
    )
    const mended = ['digit 9 hundreds', 'digit 3 tens', 'pull right 1'].reduce(
      (b, move) => enter(b, { at: 0, on: 'columns', move }),
      left,
    )
    expect(acts(mended)).toEqual(['lay', 'pose'])
    expect((mended.now.states.columns as ColumnsState).bands[0]!.below[0]!.amount).toBe('593')
  })
  test('a digit that was not asked is named with its column', () => {
    const b = work('52 + 37', 'write 52', 'digit 7 ones', 'digit 8 tens')
    expect(b.now.stones.last!.owed).toBe('Look again at the tens: the number is 37, the square says 8.')
    expect(() => enter(b, { at: 0, on: 'columns', move: 'pull right 1' })).toThrow('A digit would leave the sheet.')
  })
  test('three addends stand under one another and make one answer row', () => {
    const b = work('6842 + 593 + 20417', 'write 6842', 'under + 593', 'under + 20417', 'answer 2 ones', 'carry 1 tens')
    const sheet = b.now.states.columns as ColumnsState
    expect([sheet.bands.length, sheet.bands[0]!.below.length]).toEqual([1, 2])
    expect(acts(b)).toEqual(['lay', 'pose', 'pose', 'join', 'exchange'])
  })
})

test('an enlarged digit is struck and written anew where the class does so', () => {
  const moves = plan({ problem: '52 - 37', representation: 'columns', choices: { smallOne: 'rewrite' } }).steps[2]!
    .moves.columns
  expect(moves!.map(columns.print as (m: unknown) => string)).toEqual([
    'strike tens',
    'above 4 tens',
    'strike ones',
    'above 12 ones',
  ])
  expect(
    applyAll(
      columns,
      columns.start(
        { first: { form: 'places', negative: false, digits: '5', decimals: 0 }, terms: [] },
        DEFAULT_CHOICES,
      ),
      [],
    ).rewrites,
  ).toBe(false)
  expect(exact('7.45')).toBe('149/20')
})
