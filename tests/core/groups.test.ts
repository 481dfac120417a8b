import { listed } from '../../core/number/trail'
import fc from 'fast-check'
import { evaluate } from 'mathjs'
import { plan, representationsFor, waysFor } from '../../core/index'
import { printProblem } from '../../core/problem/problem'
import { enter, openBench } from '../../core/record/bench'
import { outcome } from '../../core/record/outcome'
import type { Bench } from '../../core/record/moment'
import { recordOf, reopen } from '../../core/record/record'
import { SLIPS } from '../../core/record/slips'
import { REPRESENTATIONS } from '../../core/representation/index'
import type { RepresentationId } from '../../core/representation/representation'
import { STEPPED } from './worlds'

const work = (on: RepresentationId, problem: string, ...moves: string[]): Bench =>
  moves.reduce(
    (b, move) => enter(b, { at: 0, on, move }),
    openBench({ problem, representation: on, also: ['equations'] }, 'alone'),
  )
const slips = (b: Bench): string[] => listed(b.now.stones).flatMap((s) => (s.slip ? [s.slip] : []))
const why = (problem: string, id: RepresentationId): string =>
  representationsFor(problem).find((o) => o.representation === id)!.why

describe.each(STEPPED)('counting in steps on %s', (id) => {
  const r = REPRESENTATIONS[id]
  const problems = fc
    .tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 25 }), fc.boolean())
    .map(([a, b, times]) => (times || id === 'touch' ? `${a} * ${b}` : `${a * b} / ${b}`))

  test('the last word is the product, the things out the groups, and the page is true', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const { steps, answer } = plan({ problem, representation: id })
        const value = String(evaluate(problem))
        expect([answer, steps.at(-1)!.shows]).toEqual([value, value])
        const words = steps.flatMap(({ act }) => (act.kind === 'count' ? [Number(act.word)] : []))
        const [first = 0, second = 0] = problem.split(/ [*/] /).map(Number)
        const groups = problem.includes('*') ? first : first / second
        expect(words).toEqual(Array.from({ length: groups }, (_, i) => (i + 1) * second))
        for (const line of steps.flatMap((s) => s.lines))
          if (line.equation)
            expect([line.equation, evaluate(line.equation.replace('=', '=='))]).toEqual([line.equation, true])
        let state = r.start(openBench({ problem, representation: id }, 'show').setup.problem, {} as never)
        state = { ...(state as object), room: 20 }
        for (const { moves } of steps)
          for (const move of moves[id]!) {
            const after = r.apply(state, move)
            expect(r.parse(r.print(move))).toEqual(move)
            state = after
          }
      }),
      { numRuns: 60 },
    )
  })
})

describe('nines hands', () => {
  test.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10])('%i nines: tens before the folded finger, ones after it', (n) => {
    for (const problem of [`${n} * 9`, `9 * ${n}`]) {
      const { steps } = plan({ problem, representation: 'nines' })
      expect(steps[0]!.moves.nines).toEqual([{ kind: 'fold', finger: n }])
      expect(steps[0]!.shows).toBe(String(10 * (n - 1) + (10 - n)))
      expect(evaluate(steps[0]!.lines[0]!.equation!.replace('=', '=='))).toBe(true)
      expect(steps.at(-1)!.lines.at(-1)!.equation).toBe(`${problem} = ${9 * n}`)
    }
  })
  test('they are for nines only, and say why', () => {
    expect(why('4 × 7', 'nines')).toBe(
      '4 × 7 is not nine times a number from 1 to 10. Nines hands work only for the nine times table, since 9 × n is n − 1 tens and 10 − n ones. For 4 they show 36, which is 4 × 9; 4 × 7 is 28.',
    )
    expect(why('11 × 9', 'nines')).toContain('not nine times a number from 1 to 10')
    expect(why('4 + 9', 'nines')).toContain('4 + 9 is not nine times a number from 1 to 10')
  })
  test('the wrong finger is named, unfolded and put right', () => {
    const b = work('nines', '4 * 9', 'fold 5', 'unfold 5', 'fold 4', 'read 36')
    expect(slips(b)).toEqual([SLIPS.wrongFinger])
    expect(outcome(b)).toEqual({ finished: true, right: true, read: '36' })
    expect(listed(b.now.stones).flatMap((s) => s.lines.map((l) => l.text))).toEqual([
      '5 × 9 = 40 + 5',
      '45 − 45 = 0',
      '4 × 9 = 30 + 6',
      '4 × 9 = 36',
    ])
    expect(reopen(JSON.parse(JSON.stringify(recordOf(b))))).toEqual(b)
  })
  test('only one finger folds', () => {
    expect(() => work('nines', '4 * 9', 'fold 4', 'fold 5')).toThrow('Finger 4 is folded already. Unfold it first')
    expect(() => work('nines', '4 * 9', 'fold 11')).toThrow('There is no finger 11.')
  })
})

describe('slips in counting groups', () => {
  const begin = 'count from 0 by 4 times 3'
  test('a group too few and a group too many', () => {
    expect(slips(work('fingers', '3 * 4', begin, 'on 4', 'on 8', 'read 8'))).toEqual([SLIPS.groupsShort])
    expect(slips(work('fingers', '3 * 4', begin, 'on 4', 'on 8', 'on 12', 'on 16', 'read 16'))).toEqual([
      SLIPS.groupsOver,
    ])
  })
  test('a number the step does not lead to; the fingers read for the product', () => {
    expect(slips(work('fingers', '3 * 4', begin, 'on 4', 'on 9'))).toEqual([SLIPS.wrongStep])
    expect(slips(work('fingers', '3 * 4', begin, 'on 4', 'on 8', 'on 12', 'read 3'))).toEqual([SLIPS.stepsRead])
    const divide = ['count from 0 to 12 by 4', 'on 4', 'on 8', 'on 12'] as const
    expect(slips(work('fingers', '12 / 4', ...divide, 'read 12'))).toEqual([SLIPS.wordRead])
    expect(outcome(work('fingers', '12 / 4', ...divide, 'read 3')).right).toBe(true)
  })
  test('turned round it is as right', () => {
    const b = work('fingers', '3 * 4', 'count from 0 by 3 times 4', 'on 3', 'on 6', 'on 9', 'on 12', 'read 12')
    expect([outcome(b).right, slips(b)]).toEqual([true, []])
  })
})

test('what does not come out, or is too far, says why', () => {
  expect(why('13 ÷ 4', 'fingers')).toBe('13 ÷ 4 does not come out: something is left over.')
  expect(why('30 × 4', 'fingers')).toContain('That is 30 steps; two hands and one ten in the head hold 20.')
  expect(why('12 × 3', 'touch')).toContain('only numerals from 1 to 9 carry notches')
  expect(why('3 × 4', 'blocks')).toContain('it does not multiply or divide')
  expect(waysFor('3 × 4', 'fingers').map((w) => w.way)).toEqual(['skip-count'])
})

test('touch numerals in columns say the words of each column, and leave exchanges out where the room does', () => {
  const { steps } = plan({ problem: '47 + 38', representation: 'touch-columns' })
  const joined = steps.filter((s) => s.act.kind === 'join')
  const words = joined.map((s) =>
    (s.moves['touch-columns'] as { kind: string; word?: number }[]).flatMap((m) => m.word ?? []),
  )
  // Ones: on from the greater, 8, by the notches of 7; tens: 4 and the carried 1 are said, 3 is touched.
  expect(words).toEqual([
    [9, 10, 11, 12, 13, 14, 15],
    [6, 7, 8],
  ])
  const without = { touchExchanges: false }
  expect(() => plan({ problem: '47 + 38', representation: 'touch-columns', choices: without })).toThrow(
    'The ones need an exchange, and this room works touch numerals without.',
  )
  expect(plan({ problem: '47 + 32', representation: 'touch-columns', choices: without }).answer).toBe('79')
})

test('a slip in the words of one column is named', () => {
  const sheet = (...moves: string[]) => slips(work('touch-columns', '25 + 13', 'write 25', 'under + 13', ...moves))
  expect(sheet('say 5 ones', 'say 6 ones', 'say 7 ones', 'answer 7 ones')).toEqual([SLIPS.startSaid])
  expect(sheet('say 6 ones', 'say 8 ones', 'answer 8 ones')).toEqual([SLIPS.skipped])
  expect(sheet('say 6 ones', 'say 7 ones', 'say 8 ones', 'answer 8 ones')).toEqual([])
  expect(printProblem(work('touch-columns', '25 + 13', 'write 25').setup.problem)).toBe('25 + 13')
})
