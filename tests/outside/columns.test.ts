import Decimal from 'decimal.js'
import fc from 'fast-check'
import { plan } from '../../core/index'
import { printExact } from '../../core/number/numeral'
import { holdings, type ColumnsState } from '../../core/representation/columns/state'
import { columns } from '../../core/representation/columns/columns'
import { applyAll } from '../../core/representation/representation'
import { withDefaults } from '../../core/choices'
import { parseProblem } from '../../core/problem/parse'

const marks = (problem: string, choices = {}): string[] =>
  plan({ problem, representation: 'columns', choices }).steps.flatMap((s) =>
    (s.moves.columns ?? []).map((m) => columns.print(m as never)),
  )

/** Progressions for the Common Core State Standards, K–5 Number and Operations in Base Ten: the worked sum 456 + 167 (from memory). */
test('456 + 167: a new ten and a new hundred are marked, and 623 stands', () => {
  const written = marks('456 + 167')
  expect(written.filter((m) => m.startsWith('carry'))).toEqual(['carry 1 tens', 'carry 1 hundreds'])
  expect(written.at(-1)).toBe('read 623')
})

/** The same document: 425 − 278 with everything decomposed first, which leaves 3, 11 and 15 on top (from memory). */
test('425 − 278: three hundreds, eleven tens and fifteen ones stand before anything is taken', () => {
  const planned = plan({
    problem: '425 - 278',
    representation: 'columns',
    way: 'exchanges-first',
    choices: { smallOne: 'rewrite' },
  })
  const before = planned.steps.findIndex((s) => s.act.kind === 'take')
  const moves = planned.steps.slice(0, before).flatMap((s) => s.moves.columns ?? [])
  const state = applyAll(
    columns,
    columns.start(parseProblem('425 - 278'), withDefaults({ smallOne: 'rewrite' })),
    moves as never[],
  ) as ColumnsState
  expect([...holdings(state)].reverse()).toEqual([3, 11, 15])
  expect(planned.answer).toBe('147')
})

/** The Treviso Arithmetic of 1478: 59 and 38 make 97, “9 and 8 make 17, write 7 and carry 1” (from memory). */
test('59 + 38: seventeen in the ones, one carried', () => {
  expect(marks('59 + 38')).toEqual(
    expect.arrayContaining(['answer 17 ones', 'carry 1 tens', 'answer 9 tens', 'read 97']),
  )
})

/** Common practice, no source: across noughts the hundred goes to ten tens, and one of these to ten ones. */
test('304 − 178: the 3 becomes 2, the nought ten and then nine, the 4 fourteen', () => {
  expect(marks('304 - 178', { smallOne: 'rewrite' }).slice(2, 10)).toEqual([
    'strike hundreds',
    'above 2 hundreds',
    'strike tens',
    'above 10 tens',
    'strike tens',
    'above 9 tens',
    'strike ones',
    'above 14 ones',
  ])
})

/** Money to nine digits, held against decimal.js. */
test('sums and differences of money are those of a general decimal library', () => {
  const cents = fc.nat(99_999_99)
  fc.assert(
    fc.property(cents, cents, fc.boolean(), (a, b, plus) => {
      const [x, y] = plus || a >= b ? [a, b] : [b, a]
      const [p, q] = [x, y].map((n) => new Decimal(n).div(100).toFixed(2))
      const { answer } = plan({ problem: `${p} ${plus ? '+' : '-'} ${q}`, representation: 'columns' })
      expect(new Decimal(printExact(answer)).equals(plus ? new Decimal(p!).plus(q!) : new Decimal(p!).minus(q!))).toBe(
        true,
      )
    }),
    { numRuns: 60 },
  )
})
