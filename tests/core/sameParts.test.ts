import fc from 'fast-check'
import { nextProblem } from '../../app/utils/nextProblem'
import { DEFAULT_CHOICES } from '../../core/choices'
import { adviseWays, sameKind } from '../../core/course/index'
import { setUp } from '../../core/index'
import { numbersIn, printProblem } from '../../core/problem/problem'
import { parseProblem } from '../../core/problem/parse'
import { REPRESENTATIONS } from '../../core/representation/index'

/** The next problem with parts of a whole asks the same again: the same denominators, and a whole crossed or not. */
const ASKED = [
  '3/10 + 4/10',
  '7/10 + 6/10',
  '1/2 + 1/3',
  '2 2/5 + 1 3/4',
  '3 1/5 - 1 2/5',
  '3 * 2/5',
  '3/8 + 2/8 ? 4/8',
  '2/3 ? 3/4 ? 5/8',
  '6/8 in simplest form',
  '2/3 = ?/12',
]

test.each(ASKED)('%s', (text) => {
  const problem = parseProblem(text)
  const suits = (p: typeof problem): boolean => REPRESENTATIONS.strips.fits(p).fits
  const bottoms = (p: typeof problem): readonly (string | undefined)[] =>
    numbersIn(p).map((n) => (n.form === 'fraction' ? n.denominator : undefined))
  fc.assert(
    fc.property(fc.nat(10_000), (seed) => {
      const next = sameKind(problem, seed, [], suits)
      if (!next) return
      expect(bottoms(next)).toEqual(bottoms(problem))
      expect(printProblem(next)).not.toBe(text)
      expect(parseProblem(printProblem(next))).toEqual(next)
      expect(sameKind(problem, seed, [], suits)).toEqual(next)
    }),
    { numRuns: 30 },
  )
  const set = new Set(
    Array.from({ length: 12 }, (_, i) => nextProblem(setUp({ problem: text, representation: 'strips' }), i, [])),
  )
  // Halves and thirds have hardly any fellows; all else comes in several forms.
  expect(set.size).toBeGreaterThan(
    text === '1/2 + 1/3' || text === '2/3 = ?/12' ? 0 : text === '6/8 in simplest form' ? 1 : 3,
  )
})

test('a whole is crossed where it was crossed before', () => {
  for (let seed = 0; seed < 40; seed++) {
    const next = sameKind(parseProblem('7/10 + 6/10'), seed)!
    const [a, b] = numbersIn(next).map((n) => (n.form === 'fraction' ? Number(n.numerator) : 0))
    expect(a! + b!).toBeGreaterThan(10)
  }
})

test('advice names ways that hold the problem, with the reason', () => {
  const first = (text: string): unknown => adviseWays(parseProblem(text), DEFAULT_CHOICES, { losesTrack: false })[0]
  expect(first('3/10 + 4/10')).toMatchObject({ representation: 'strips', way: 'same-parts' })
  expect(first('1/2 + 1/3')).toMatchObject({ representation: 'strips', way: 'common-parts' })
  expect(first('2 2/5 + 1 3/4')).toMatchObject({ representation: 'strips', way: 'wholes-apart' })
  expect(first('-1 1/2 + 3/4')).toMatchObject({ representation: 'line', way: 'arrows' })
})
