import { DEFAULT_CHOICES } from '../../core/choices'
import { parseProblem } from '../../core/problem/parse'
import { REPRESENTATIONS } from '../../core/representation/index'
import { plan } from '../../core/plan/plan'
import { setting } from '../../core/representation/abacus/frame'
import { decide, formula } from '../../core/representation/abacus/rules'

/**
 * The formulas of the one-and-four abacus as Takashi Kojima gives them in “The Japanese Abacus: Its Use and Theory” (Tuttle,
 * 1954), chapter on addition and subtraction; from memory. His order is the complement first.
 */
const PUBLISHED: readonly (readonly [rule: 'five' | 'ten' | 'mixed', digit: number, terms: string])[] = [
  ['five', 1, '5-4'],
  ['five', 2, '5-3'],
  ['five', 3, '5-2'],
  ['five', 4, '5-1'],
  ['ten', 1, '-9+10'],
  ['ten', 2, '-8+10'],
  ['ten', 3, '-7+10'],
  ['ten', 4, '-6+10'],
  ['ten', 5, '-5+10'],
  ['ten', 6, '-4+10'],
  ['ten', 7, '-3+10'],
  ['ten', 8, '-2+10'],
  ['ten', 9, '-1+10'],
  ['mixed', 6, '1-5+10'],
  ['mixed', 7, '2-5+10'],
  ['mixed', 8, '3-5+10'],
  ['mixed', 9, '4-5+10'],
]
const terms = (text: string): number[] => [...text.matchAll(/[+-]?\d+/g)].map((m) => Number(m[0]))
const sorted = (numbers: readonly number[]): number[] => [...numbers].sort((a, b) => a - b)

test.each(PUBLISHED)('%s complement of %i', (rule, digit, text) => {
  expect(formula(rule, digit, 1, 'complement')).toEqual(terms(text))
  // Taking away mirrors it, with every sign turned.
  expect(sorted(formula(rule, digit, -1, 'complement'))).toEqual(sorted(terms(text).map((n) => -n)))
})

/** Where each formula is used, as the same book has its exercises: the number on the rod, the digit added; from memory. */
const USED: readonly (readonly [shown: number, digit: number, rule: string])[] = [
  [2, 2, 'direct'],
  [1, 6, 'direct'],
  [3, 3, 'five'],
  [4, 1, 'five'],
  [2, 9, 'ten'],
  [8, 7, 'ten'],
  [9, 9, 'ten'],
  [5, 5, 'ten'],
  [5, 6, 'mixed'],
  [6, 7, 'mixed'],
  [6, 8, 'mixed'],
  [5, 9, 'mixed'],
]
test.each(USED)('on a rod that shows %i, +%i goes by %s', (shown, digit, rule) => {
  const beads = { upper: 1, lower: 4 }
  expect(decide(setting(shown, beads), digit, 1, beads).rule).toBe(rule)
})

/** Complementary results below nought: the borrowed one, and the complement read; common practice, no source. */
test.each([
  ['312 - 745', '432', '-433'],
  ['0 - 1', '0', '-1'],
  ['26 - 84', '57', '-58'],
])('%s leaves %s not set, and is %s', (problem, notSet, value) => {
  const { steps, answer } = plan({ problem, representation: 'abacus' })
  const r = REPRESENTATIONS.abacus
  const empty = r.start(parseProblem(problem), DEFAULT_CHOICES)
  const end = steps.flatMap((s) => s.moves.abacus ?? []).reduce(r.apply, empty)
  expect([...r.notSet!(end)!].reverse().join('')).toBe(notSet)
  expect(answer).toBe(value)
})

/** The same book's table for taking away, written out with its signs in the order of its complement-first working; from memory. */
const TAKEN: readonly (readonly [rule: 'five' | 'ten' | 'mixed', digit: number, terms: string])[] = [
  ['five', 1, '-5+4'],
  ['five', 2, '-5+3'],
  ['five', 3, '-5+2'],
  ['five', 4, '-5+1'],
  ['ten', 1, '+9-10'],
  ['ten', 2, '+8-10'],
  ['ten', 3, '+7-10'],
  ['ten', 4, '+6-10'],
  ['ten', 5, '+5-10'],
  ['ten', 6, '+4-10'],
  ['ten', 7, '+3-10'],
  ['ten', 8, '+2-10'],
  ['ten', 9, '+1-10'],
  ['mixed', 6, '+5-1-10'],
  ['mixed', 7, '+5-2-10'],
  ['mixed', 8, '+5-3-10'],
  ['mixed', 9, '+5-4-10'],
]
test.each(TAKEN)('taking away by the %s complement of %i', (rule, digit, text) => {
  expect(formula(rule, digit, -1, 'complement')).toEqual(terms(text))
  // In the other order the ten goes first, and the rest stays as it is.
  const [ten, ...rest] = formula(rule, digit, -1, 'ten')
  if (rule !== 'five') expect([...rest, ten]).toEqual(terms(text))
})

/** Where they are used when taking away, as the book's exercises have it: the number on the two rods, the digit; from memory. */
test.each([
  [8, 3, 'direct'],
  [9, 6, 'direct'],
  [5, 1, 'five'],
  [6, 2, 'five'],
  [7, 4, 'five'],
  [11, 9, 'ten'],
  [10, 5, 'ten'],
  [15, 9, 'ten'],
  [11, 6, 'mixed'],
  [12, 7, 'mixed'],
  [13, 8, 'mixed'],
  [14, 9, 'mixed'],
] as const)('from %i, −%i goes by %s', (shown, digit, rule) => {
  const beads = { upper: 1, lower: 4 }
  expect(decide(setting(shown % 10, beads), digit, -1, beads).rule).toBe(rule)
})

/**
 * The old drill of the abacus schools: 123,456,789 added again and again, whose totals every pupil knows, and taken away again to
 * nought. Common practice; the totals from memory.
 */
test.each(['abacus', 'two-five', 'frame', 'stay-put'] as const)('the drill of 123456789 on the %s', (id) => {
  const KNOWN = [246913578, 370370367, 493827156, 617283945, 740740734, 864197523, 987654312]
  const n = '123456789'
  const totalsOf = (problem: string): number[] =>
    plan({ problem, representation: id })
      .steps.filter((s) => s.act.kind === 'pose' || s.act.kind === 'read')
      .map((s) => Number(s.shows))
  expect(totalsOf([n, ...KNOWN.map(() => n)].join(' + '))).toEqual([Number(n), ...KNOWN])
  const down = [...KNOWN].reverse()
  expect(totalsOf([String(down[0]), ...down.map(() => n), n].join(' - '))).toEqual([...down, Number(n), 0])
})

/** The drill of 1 to 10, and on to 100: 55 and 5,050; common knowledge, no source. */
test('one to a hundred is five thousand and fifty, bead by bead legal', () => {
  const problem = Array.from({ length: 100 }, (_, i) => i + 1).join(' + ')
  const { steps, answer } = plan({ problem, representation: 'abacus' })
  const r = REPRESENTATIONS.abacus
  const end = steps
    .flatMap((s) => s.moves.abacus ?? [])
    .reduce(r.apply, r.start(parseProblem(problem), DEFAULT_CHOICES))
  expect([answer, r.shows(end)]).toEqual(['5050', '5050'])
  expect(steps.filter((s) => s.act.kind === 'pose')[9]!.shows).toBe('55')
})
