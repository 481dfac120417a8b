import fc from 'fast-check'
import { enter, openBench, outcome, representationsFor, slipsOf, waysFor, type Bench } from '../../core/index'
import { SLIPS } from '../../core/record/slips'
import { listed, type Trail } from '../../core/number/trail'
import { plan } from '../../core/plan/plan'

/** Nine times a number, three ways, against multiplying; and where which of them holds. */

const open = (problem: string, way: 'one-less' | 'ten-less'): Bench =>
  openBench({ problem, representation: 'nine-tricks', way }, 'alone')
const make = (b: Bench, ...moves: string[]): Bench =>
  moves.reduce((now, move) => enter(now, { at: 0, on: 'nine-tricks', move }), b)
const why = (problem: string): string =>
  representationsFor(problem).find((o) => o.representation === 'nine-tricks')!.why

test('three ways against multiplying, from either side', () => {
  for (let n = 1; n <= 9; n++)
    for (const problem of [`9 * ${n}`, `${n} * 9`]) {
      const ways = [
        plan({ problem, representation: 'nines' }),
        plan({ problem, representation: 'nine-tricks', way: 'one-less' }),
        plan({ problem, representation: 'nine-tricks', way: 'ten-less' }),
      ]
      for (const { steps } of ways) {
        expect(steps.at(-1)!.shows).toBe(String(9 * n))
        expect(steps.at(-1)!.lines.at(-1)!.equation).toBe(`${problem} = ${9 * n}`)
      }
    }
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 9_999_999 }), (n) => {
      const { steps } = plan({ problem: `9 * ${n}`, representation: 'nine-tricks', way: 'ten-less' })
      expect(steps.map((s) => s.lines.map((l) => l.text)).flat()).toEqual([
        `10 × ${n} = ${10 * n}`,
        `${10 * n} − ${n} = ${9 * n}`,
        `9 × ${n} = ${9 * n}`,
      ])
    }),
  )
})

test('the lines, with their reason', () => {
  const { steps } = plan({ problem: '9 * 7', representation: 'nine-tricks', way: 'one-less' })
  expect(steps.flatMap((s) => s.moves['nine-tricks'])).toEqual(
    ['7 - 1 = 6', '9 - 6 = 3', '60 + 3 = 63', '9 * 7 = 63'].map((line) => ({ kind: 'write', line })),
  )
  expect(steps[0]!.say).toContain('the tens are one less')
  expect(steps[1]!.say).toContain('what the tens lack')
  // No finger is folded in writing.
  expect(steps[2]!.say).toBe('Seven times nine: sixty-three now.')
})

test('written by hand, in another order, wrongly and put right, or at once', () => {
  const b = make(
    open('9 * 7', 'one-less'),
    'write 7 - 1 = 6',
    'write 9 - 6 = 4',
    'write 9 - 6 = 3',
    'write 60 + 3 = 63',
  )
  // The false line stays, struck.
  const { lines } = b.now.states['nine-tricks'] as { lines: Trail<{ text: string; act: unknown }> }
  expect(
    listed(lines)
      .filter((l) => l.act === null)
      .map((l) => l.text),
  ).toEqual(['9 - 6 = 4'])
  expect(outcome(make(b, 'write 9 * 7 = 63'))).toMatchObject({ finished: true, right: true })
  const once = make(open('9 * 7', 'one-less'), 'write 9 * 7 = 63', 'write 9 * 7 = 63')
  expect(outcome(once).right).toBe(true)
  const wrong = make(open('9 * 7', 'ten-less'), 'write 10 * 7 = 70', 'write 70 - 9 = 61')
  expect(listed(wrong.now.stones).map((s) => s.step)).toEqual(['planned', 'other'])
  expect(slipsOf(make(open('9 * 7', 'ten-less'), 'write 9 * 7 = 64'))).toEqual([SLIPS.falseLine])
})

test('one less is for nine times 1 to 9, ten less for any number; elsewhere it is said why not', () => {
  expect(waysFor('9 * 7', 'nine-tricks').map((w) => w.way)).toEqual(['one-less', 'ten-less'])
  expect(waysFor('12 * 9', 'nine-tricks').map((w) => w.way)).toEqual(['ten-less'])
  expect(why('8 * 4')).toBe(
    '8 × 4 is not nine times a whole number. These tricks hold only for nine, which is ten less one. For 8 they show 72, which is 8 × 9; 8 × 4 is 32.',
  )
  expect(why('4 + 9')).toContain('is not nine times a whole number')
})
