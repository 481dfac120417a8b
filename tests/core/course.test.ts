import fc from 'fast-check'
import { DEFAULT_CHOICES } from '../../core/choices'
import { adviseWays } from '../../core/course/advice'
import { rulesIn } from '../../core/course/sameRules'
import { sameKind } from '../../core/course/sameKind'
import {
  allowedPairs,
  changedColumns,
  checkRules,
  dealCards,
  safeCards,
  spin,
  spinProblem,
  whyNot,
  type SpinnerRules,
  type SpinPair,
} from '../../core/course/spinner'
import { grouped, groupedAlike, groupedIn } from '../../core/number/grouped'
import { plan } from '../../core/index'
import { board } from '../../core/plan/board'
import { parseProblem } from '../../core/problem/parse'
import { printProblem, type Problem } from '../../core/problem/problem'
import { columnDigits, sayColumn, sumOrder } from '../../core/speech/columnSum'
import { packOf } from '../../core/speech/words'
import { chains } from './worlds'

const advice = (problem: string, losesTrack = false, columnMethod = true) =>
  adviseWays(parseProblem(problem), { ...DEFAULT_CHOICES, columnMethod }, { losesTrack })
const first = (...args: Parameters<typeof advice>): string =>
  `${advice(...args)[0]!.representation} ${advice(...args)[0]!.way}`

describe('which way fits', () => {
  test.each([
    ['29 + 46', 'friendly make-friendly'],
    ['52 - 29', 'friendly over-and-back'],
    ['37 + 45', 'partials apart'],
    ['52 - 44', 'openline hop-up'],
    ['476 + 354', 'columns ones-first'],
    ['33 + 24 + 15', 'columns by-column'],
  ])('%s: %s', (problem, way) => expect(first(problem)).toBe(way))
  test('a learner who loses track draws', () => expect(first('29 + 46', true)).toBe('drawn ones-first'))
  test('a class that does not work the column method yet is never sent there', () => {
    expect(advice('476 + 354', false, false).map((a) => a.representation)).not.toContain('columns')
  })
  test('whatever is advised can be worked, and comes to the answer', () => {
    fc.assert(
      fc.property(chains(), fc.boolean(), (problem, losesTrack) => {
        if (problem.terms.length === 0) return
        const found = adviseWays(problem, DEFAULT_CHOICES, { losesTrack })
        expect(found.length).toBeGreaterThan(0)
        for (const { representation, way, why } of found.slice(0, 3)) {
          expect(why).toMatch(/\.$/)
          const planned = plan({ problem, representation, way })
          expect(planned.steps.at(-1)!.shows).toBe(planned.answer)
        }
      }),
      { numRuns: 30 },
    )
  })
})

const rulesOf = fc
  .record({
    sectors: fc.uniqueArray(fc.constantFrom(10, 20, 30, -10, -20, -30, 5, -5), { minLength: 2, maxLength: 6 }),
    least: fc.nat(20),
    greatest: fc.integer({ min: 60, max: 120 }),
    exchanges: fc.constantFrom('none', 'any', 'only'),
  })
  .map((r) => r as SpinnerRules)

describe('spinner and number cards', () => {
  test('no spin leaves the range or needs an unwanted exchange, none comes twice, and all of them come', () => {
    fc.assert(
      fc.property(rulesOf, fc.nat(1000), (rules, seed) => {
        const cards = dealCards(rules, 6, seed)
        const pairs = allowedPairs(cards, rules)
        const past: SpinPair[] = []
        for (let pair = spin(cards, rules, seed, past); pair; pair = spin(cards, rules, seed, past)) {
          const { card, sector } = pair
          expect(card + sector).toBeGreaterThanOrEqual(rules.least)
          expect(card + sector).toBeLessThanOrEqual(rules.greatest)
          const [ones, by] = [card % 10, Math.abs(sector) % 10]
          const exchanged =
            sector > 0
              ? ones + by > 9 || (Math.floor(card / 10) % 10) + Math.floor(sector / 10) > 9
              : ones < by || Math.floor(card / 10) % 10 < Math.floor(-sector / 10)
          if (rules.exchanges !== 'any' && card < 100)
            expect([card, sector, exchanged]).toEqual([card, sector, rules.exchanges === 'only'])
          expect(past).not.toContainEqual(pair)
          past.push(pair)
        }
        expect(past).toHaveLength(pairs.length)
      }),
      { numRuns: 60 },
    )
  })
  test('the same seed deals and spins the same; every sector may fall on a safe card', () => {
    const rules: SpinnerRules = { sectors: [10, 20, -10, -20], least: 0, greatest: 99, exchanges: 'none' }
    expect(dealCards(rules, 8, 7)).toEqual(dealCards(rules, 8, 7))
    expect(spin([34, 55], rules, 3, [])).toEqual(spin([34, 55], rules, 3, []))
    expect(safeCards(rules)).toEqual(Array.from({ length: 60 }, (_, i) => i + 20))
    expect(allowedPairs(dealCards(rules, 8, 7), rules)).toHaveLength(32)
  })
  test('why a pair will not do is said with its numbers', () => {
    const rules: SpinnerRules = { sectors: [10, -30], least: 0, greatest: 99, exchanges: 'none' }
    expect(whyNot({ card: 12, sector: -30 }, rules)).toBe('12 − 30 goes below 0.')
    expect(whyNot({ card: 95, sector: 10 }, rules)).toBe('95 + 10 goes above 99.')
    expect(whyNot({ card: 28, sector: 5 }, { ...rules, sectors: [5, -5] })).toBe('28 + 5 needs an exchange.')
    expect(whyNot({ card: 41, sector: 10 }, { ...rules, exchanges: 'only' })).toBe('41 + 10 needs no exchange.')
    expect(whyNot({ card: 41, sector: 10 }, rules)).toBe('')
  })
  test.each([
    [{ sectors: [10] }, '2 to 12 sectors'],
    [{ sectors: [10, 0] }, '0 is no sector'],
    [{ least: 50, greatest: 20 }, 'The range goes from'],
  ])('%j is refused', (over, why) =>
    expect(() => checkRules({ sectors: [10, -10], least: 0, greatest: 99, exchanges: 'any', ...over })).toThrow(why),
  )
  test('which column changed: only those whose digit is another', () => {
    expect(changedColumns(54, 34)).toEqual([1])
    expect(changedColumns(95, 105)).toEqual([2, 1])
    expect(spinProblem({ card: 54, sector: -20 })).toBe('54 - 20')
  })
})

test('several ways on one board come to the same, each complete', () => {
  const made = board('304 - 178', [
    { representation: 'chips' },
    { representation: 'columns' },
    { representation: 'openline', way: 'hop-up' },
    { representation: 'partials' },
    { representation: 'blocks' },
  ])
  expect(made.panels).toHaveLength(4)
  expect(made.agree).toBe(true)
  expect(made.panels.map((p) => p.reads)).toEqual(['126', '126', '126', '126'])
  expect(made.panels.every((p) => p.plan.steps.at(-1)!.act.kind === 'read')).toBe(true)
  expect(() => board('304 - 178', [{ representation: 'counters' }])).toThrow('counters')
})

test('the next problem of a kind keeps its decimals', () => {
  const next = sameKind(parseProblem('8.4 - 3.27'), 5)!
  expect(printProblem(next)).toMatch(/^\d\.\d - \d\.\d\d$/)
})

describe('a column of several digits', () => {
  const problem = parseProblem('27 + 45 + 13 + 8')
  test('is added from the top down, or tens are looked for first', () => {
    expect(columnDigits(problem, 0)).toEqual([7, 5, 3, 8])
    expect(columnDigits(problem, 1)).toEqual([2, 2, 4, 1])
    expect(sumOrder([7, 5, 3, 8], 'tens')).toEqual([7, 3, 5, 8])
    expect(sayColumn(problem, 0, 'tens', packOf('exchange'))).toBe(
      'Seven and three, ten; and five, fifteen; and eight, twenty-three.',
    )
    expect(sayColumn(problem, 0, 'down', packOf('exchange'))).toBe(
      'Seven and five, twelve; and three, fifteen; and eight, twenty-three.',
    )
  })
  test('is said with the act, and looking for tens never changes what is added', () => {
    const said = plan({ problem, representation: 'columns', way: 'by-column' }).steps.map((s) => s.say)
    expect(said[4]).toBe(
      'Seven and five, twelve; and three, fifteen; and eight, twenty-three. Add sixteen ones. Forty-three now.',
    )
  })
  test('the same digits in both orders', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { maxLength: 9 }), (digits) =>
        expect([...sumOrder(digits, 'tens')].sort()).toEqual([...digits].sort()),
      ),
    )
  })
})

test.each([
  ['20417', 'comma', '20,417'],
  ['999', 'comma', '999'],
  ['1234567.25', 'comma', '1,234,567.25'],
  ['-4321', 'thin', '-4\u202f321'],
  ['4321', 'none', '4321'],
] as const)('%s with %s is %s', (text, separator, written) => expect(grouped(text, separator)).toBe(written))

describe('the same kind on beads is the same rules', () => {
  test.each([
    ['4 + 2', ['five']],
    ['8 + 7', ['ten direct']],
    ['6 + 7 - 8', ['mixed direct', 'mixed direct']],
    ['99 + 1', ['ten ten direct']],
    ['312 - 745', ['mixed beyond, ten direct, ten direct']],
  ] as const)('%s needs %s, and so does the next', (text, rules) => {
    const problem = parseProblem(text)
    const of = (p: Problem) => rulesIn(p, 'abacus', DEFAULT_CHOICES)
    expect(of(problem)).toEqual(rules)
    const next = sameKind(problem, 11, [], undefined, (part) => of(part)!.every((rule, i) => rule === rules[i]))
    expect(next && of(next)).toEqual(rules)
    expect(next).not.toEqual(problem)
  })

  test('other materials have no such rules', () =>
    expect(rulesIn(parseProblem('4 + 2'), 'blocks', DEFAULT_CHOICES)).toBeUndefined())
})

test.each([
  ['31 + 20417.5 = 20448.5', '31 + 20,417.5 = 20,448.5'],
  ['1234 + 0.12345', '1,234 + 0.12345'],
  ['6842 + 593 + 20417', '6,842 + 593 + 20,417'],
  ['hundred-millions: −3 = −5 +2', 'hundred-millions: −3 = −5 +2'],
  ['482305917 − 300000009', '482,305,917 − 300,000,009'],
])('in a line: %s', (line, written) => {
  expect(groupedIn(line, 'comma')).toBe(written)
  expect(groupedIn(line, 'none')).toBe(line)
})

test('a thin space stands from five digits on, a comma from four', () => {
  expect(groupedIn('6842 + 20417', 'thin')).toBe('6842 + 20\u202f417')
  expect(groupedIn('6842 + 20417', 'comma')).toBe('6,842 + 20,417')
})

test('numbers beneath one another have separators all or none, so that places stay under places', () => {
  expect(groupedAlike(['6842', '593', '20417'], 'thin')).toEqual(['6\u202f842', '593', '20\u202f417'])
  expect(groupedAlike(['6842', '593'], 'thin')).toEqual(['6842', '593'])
  expect(groupedAlike(['842.12345', ''], 'comma')).toEqual(['842.12345', ''])
  expect(groupedAlike(['1234.5', '-20417'], 'comma')).toEqual(['1,234.5', '-20,417'])
  expect(groupedAlike(['1234', '20417'], 'none')).toEqual(['1234', '20417'])
})
