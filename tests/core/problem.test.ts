import fc from 'fast-check'
import { parseProblem } from '../../core/problem/parse'
import { evaluate } from 'mathjs'
import { answer, isChain, printProblem } from '../../core/problem/problem'
import { features } from '../../core/problem/features'
import { sameKind } from '../../core/course/sameKind'
import { representationsFor, waysFor, plan } from '../../core/index'
import type { Refusal } from '../../core/refusal'
import { attempt } from '../../core/refusal'
import { parseNumeral, printNumeral, valueOf } from '../../core/number/numeral'
import { REPRESENTATIONS } from '../../core/representation/index'
import { chains } from './worlds'

const refusal = (text: string): Refusal => {
  const tried = attempt(() => parseProblem(text))
  if ('ok' in tried) throw new Error(`“${text}” was accepted`)
  return tried.refused
}

test('a problem is printed and read back the same', () => {
  fc.assert(fc.property(chains(), (p) => expect(parseProblem(printProblem(p))).toEqual(p)))
})

test.each([
  ['52 − 37', '52 - 37'],
  ['  476+358 ', '476 + 358'],
  ['1,000 – 1', '1000 - 1'],
  ['5 - -3', '5 - -3'],
  ['-3 - 5', '-3 - 5'],
  ['3/8 + 2/8', '3/8 + 2/8'],
  ['7.45 + 0.5', '7.45 + 0.5'],
  ['7×9', '7 * 9'],
  ['36 : 4', '36 / 4'],
  ['612 / 7', '612 / 7'],
  ['12 /4', '12 / 4'],
  ['6/2 + 1/2', '6/2 + 1/2'],
  ['(3/8)', '(3/8)'],
  ['3/8 + 2/8', '3/8 + 2/8'],
  ['1 - 3/8', '1 - 3/8'],
  ['2 2/5 + 1 3/4 =', '2 2/5 + 1 3/4'],
  ['-3 + (-5)', '-3 + -5'],
  ['-3 + -5', '-3 + -5'],
  ['(−3) − (−5)', '-3 - -5'],
  ['5 minus (-3)', '5 - -3'],
  ['4 + (+5)', '4 + 5'],
  ['3 × 25 + 2 × 10 + 4 × 1', '3 * 25 + 2 * 10 + 4 * 1'],
  ['3 groups of 25 and 2 lots of 10', '3 * 25 + 2 * 10'],
  ['612 shared among 7', '612 / 7'],
  ['8 plus 5 is the same as', '8 + 5'],
  ['12 x 3', '12 * 3'],
  ['12X3', '12 * 3'],
  ['52 minus 37', '52 - 37'],
  ['52 take away 37', '52 - 37'],
  ['52 Take  Away 37 = ?', '52 - 37'],
  ['52 subtract 37', '52 - 37'],
  ['52 less 37', '52 - 37'],
  ['9 plus 4 and 2', '9 + 4 + 2'],
  ['7 times 9', '7 * 9'],
  ['36 divided by 9 equals', '36 / 9'],
  ['52 - 37 =', '52 - 37'],
  ['52 - 37 = ?', '52 - 37'],
  ['52 - 37?', '52 - 37'],
])('%j is read as %s', (typed, plain) => expect(printProblem(parseProblem(typed))).toBe(plain))

test.each([
  ['52 −− 37', 'Two signs stand side by side at place 4.', '−−'],
  ['1e9', 'There is a letter, “e”, at place 2.', 'e'],
  ['٣+٤', '“٣” at place 1 is a digit of another script.', '٣'],
  ['<script>', '“<” at place 1 is not part of a problem.', '<'],
  ['12 y 3', 'There is a letter, “y”, at place 4.', 'y'],
  ['52 minus', 'The sign at place 4 has no number after it.', 'minus'],
  ['52 take 37', 'There is a letter, “t”, at place 4.', 't'],
  ['× 3', 'There is no number before the sign at place 1.', '×'],
  ['4 × ÷ 3', 'Two signs stand side by side at place 3.', '× ÷'],
  ['52 - 37 = 15', 'The “=” at place 9 is not needed.', '='],
  ['52 -', 'The sign at place 4 has no number after it.', '-'],
  ['12 34', 'There is no sign before “34” at place 4.', '34'],
  ['1234567890 + 1', 'That number has 10 digits; Sett reads numbers of up to 9.', '1234567890'],
])('%j is refused at the place', (typed, reason, at) => {
  const { reason: said, span } = refusal(typed)
  expect(said).toBe(reason)
  expect(typed.slice(span!.at, span!.at + span!.length)).toBe(at)
})

test('nothing, and far too much, each get their own sentence', () => {
  for (const text of ['   ', '_', '= ?', '?', 'equals', `${' '.repeat(700)}=${' '.repeat(700)}`])
    expect([text, refusal(text).message]).toEqual([text, 'There is no problem yet. Type one, like 52 − 37.'])
  expect(refusal('7'.repeat(1600)).reason).toBe('There is a number of 1600 digits; Sett reads numbers of up to nine.')
  expect(refusal('1 + '.repeat(400) + '1').reason).toContain('1601 characters')
  expect(refusal('1 + '.repeat(100) + '1').reason).toBe('That chain has 101 numbers; up to 100 fit on a page.')
})

test('products and quotients stand alone, and nothing is divided by nought', () => {
  expect(answer(parseProblem('7 × 9'))).toBe('63')
  expect(answer(parseProblem('612 ÷ 7'))).toBe('612/7')
  expect(refusal('2 + 3 × 4').message).toBe(
    'Multiplying and dividing stand alone here. Ask one step, like 7 × 9 or 36 ÷ 9.',
  )
  expect(refusal('5 ÷ 0').message).toContain('divided by nought')
})

test('a fraction alone could be a division: Sett asks which was meant, and each choice is read as it says', () => {
  for (const text of ['12/4', '3/8', ' 3/8 = ?']) {
    const { reason, meant } = refusal(text)
    expect(reason).toMatch(/^(12\/4 could be 12 ÷ 4|3\/8 could be 3 ÷ 8), or the fraction /)
    expect(meant.map((m) => m.label.split(', ')[1])).toEqual(['a division', 'a fraction'])
    const [division, fraction] = meant.map((m) => parseProblem(m.text))
    expect(division!.terms).toHaveLength(1)
    expect([fraction!.terms, fraction!.first.form]).toEqual([[], 'fraction'])
  }
  expect(refusal('52 −− 37').meant).toEqual([])
})

test('a sum of equal groups comes to what an outside evaluator says, and is no chain', () => {
  const group = fc.tuple(fc.nat(99), fc.nat(999)).map(([n, size]) => `${n} * ${size}`)
  fc.assert(
    fc.property(fc.array(group, { minLength: 2, maxLength: 6 }), (groups) => {
      const text = groups.join(' + ')
      const problem = parseProblem(text)
      expect([printProblem(problem), answer(problem), isChain(problem)]).toEqual([text, String(evaluate(text)), false])
      expect(parseProblem(printProblem(problem))).toEqual(problem)
    }),
  )
  for (const text of ['2 + 3 × 4', '3 × 4 − 2 × 5', '3 × 4 × 5', '3 × 4 + 6 ÷ 2'])
    expect([text, refusal(text).reason]).toEqual([text, 'Multiplying and dividing stand alone here.'])
  expect(refusal('1/2 × 4 + 2 × 3').reason).toContain('whole numbers')
  expect(refusal('99999 × 99999 + 1 × 1').reason).toContain('more than 9 digits')
})

test('numbers below nought, fractions and mixed numbers print and are read back the same', () => {
  const number = fc.oneof(
    fc.integer({ min: -999, max: 999 }).map(String),
    fc.tuple(fc.nat(99), fc.integer({ min: 2, max: 20 })).map(([a, b]) => `${a}/${b}`),
    fc
      .tuple(fc.integer({ min: 1, max: 99 }), fc.nat(19), fc.integer({ min: 2, max: 20 }))
      .map(([w, a, b]) => `${w} ${a}/${b}`),
  )
  fc.assert(
    fc.property(
      number,
      fc.array(fc.tuple(fc.constantFrom('+', '-'), number), { minLength: 1, maxLength: 4 }),
      (first, rest) => {
        const text = [first, ...rest.map(([sign, n]) => `${sign} ${n}`)].join(' ')
        const problem = parseProblem(text)
        expect(printProblem(problem)).toBe(text)
        const bracketed = parseProblem([`(${first})`, ...rest.map(([sign, n]) => `${sign}(${n})`)].join(''))
        expect(bracketed).toEqual(problem)
      },
    ),
  )
})

test('no text whatever brings parsing down', () => {
  fc.assert(fc.property(fc.string({ unit: 'binary' }), (text) => void attempt(() => parseProblem(text))))
  fc.assert(
    fc.property(fc.stringMatching(/^[0-9+\- ./,×÷:*()]{0,20}$/), (text) => void attempt(() => parseProblem(text))),
  )
})

describe('what does not fit says why and what would', () => {
  const why = (text: string): string => representationsFor(text).find((o) => o.representation === 'blocks')!.why
  test.each([
    ['9999 + 1', 'The total comes to 10000; the chart holds 9999 at most: it has no place above the thousands.'],
    ['12000 - 5', 'The chart holds 9999 at most: it has no place above the thousands; 12000 is more.'],
    ['3 - 5', 'At number 2 of the chain the total is −2, below nought, and the chart shows nothing below nought.'],
    ['3/8 + 2/8', '3/8 is not a whole number, and the chart shows whole numbers only.'],
  ])('%s', (problem, reason) => expect(why(problem)).toBe(reason))

  test.each(['-5 + 8', '8 - -3', '-12 + -4 + 30', '-7 - -9 - 1'])(
    '%s on the abacus: the problem to be asked instead has the same answer, and fits',
    (problem) => {
      const why = representationsFor(problem).find((o) => o.representation === 'abacus')!.why
      const instead = /: ask (.*)\.$/.exec(why)![1]!
      expect(instead).not.toMatch(/(^|[-+] )-/)
      expect(plan({ problem: instead, representation: 'abacus' }).answer).toBe(answer(parseProblem(problem)))
    },
  )

  test('only what exists and holds the problem is offered in place of a material, never the material itself', () => {
    const texts = ['9999 + 1', '3 - 5', '612 / 7', '7 * 9', '3/8 + 2/8', '3 * 4', '19 + 18', '30 + 9', '1.25 + 0.5']
    for (const text of texts)
      for (const { representation, fits } of representationsFor(text)) {
        if (fits || representation === 'equations') continue
        const { hint, message } = (attempt(() => plan({ problem: text, representation })) as { refused: Refusal })
          .refused
        expect(message).not.toMatch(/[Cc]ounters or a number line/)
        const named = /^It would fit on: (.*)\.$/.exec(hint)?.[1]?.split(', ') ?? []
        const holding = representationsFor(text).filter((o) => o.fits && o.representation !== 'equations')
        expect([text, representation, named.length > 0]).toEqual([text, representation, holding.length > 0])
        for (const title of named) expect(holding.map((o) => o.title)).toContain(title)
      }
  })

  test('what is too large for the chart is held by the sheet', () => {
    expect(() => plan({ problem: '9999 + 1', representation: 'blocks' })).toThrow(
      'It would fit on: chips, column sheet.',
    )
    expect(plan({ problem: '9999 + 1', representation: 'columns' }).answer).toBe('10000')
    expect(waysFor('9999 + 1', 'blocks')).toEqual([])
    expect(waysFor('9999 + 1', 'columns').map((w) => [w.way, w.default])).toEqual([
      ['ones-first', true],
      ['exchanges-first', false],
    ])
  })
})

test('features name the exchanges and where they cross a nought', () => {
  expect(features(parseProblem('304 - 178'))).toEqual([
    { operation: '-', digits: [3, 3], exchanges: [0, 1], acrossZero: [0] },
  ])
  expect(features(parseProblem('476 + 358'))[0]!.exchanges).toEqual([0, 1])
  expect(features(parseProblem('52 - 31'))[0]!.exchanges).toEqual([])
})

test('the next problem is of the same kind, another one, and the same for the same seed', () => {
  fc.assert(
    fc.property(chains(999), fc.integer(), (problem, seed) => {
      const next = sameKind(problem, seed)
      if (!next) return
      expect(features(next)).toEqual(features(problem))
      expect(printProblem(next)).not.toBe(printProblem(problem))
      expect(sameKind(problem, seed)).toEqual(next)
    }),
    { numRuns: 60 },
  )
})

test('the next problem stays within what the material holds', () => {
  const { joints } = REPRESENTATIONS
  fc.assert(
    fc.property(fc.integer(), (seed) => {
      const next = sameKind(parseProblem('14 + 5'), seed, [], (p) => joints.fits(p).fits)
      expect(next && joints.fits(next).fits).toBe(true)
    }),
    { numRuns: 30 },
  )
})

test('52 − 37 has five different successors in a row', () => {
  const used: string[] = ['52 - 37']
  for (let i = 0; i < 5; i++) used.push(printProblem(sameKind(parseProblem('52 - 37'), i, used)!))
  expect(new Set(used).size).toBe(6)
})

test('a Numeral keeps how it was written; its value is exact', () => {
  for (const text of ['5/6', '10/12', '-4', '7.45', '23.50', '1 2/3', '-0.5'])
    expect(printNumeral(parseNumeral(text))).toBe(text)
  const value = (t: string) => valueOf(parseNumeral(t))
  expect(value('10/12')).toBe(value('5/6'))
  expect(value('23.50')).toBe(value('23.5'))
  expect(value('7.45')).toBe('149/20')
  expect(value('1 2/3')).toBe('5/3')
})
