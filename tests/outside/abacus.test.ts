import { DEFAULT_CHOICES } from '../../core/choices'
import { parseProblem } from '../../core/problem/problem'
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
