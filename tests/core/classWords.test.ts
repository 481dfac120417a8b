import fc from 'fast-check'
import { inClassWords, packOf, REPRESENTATIONS } from '../../core/index'
import { STEPS } from '../../core/course/index'
import { CATALOGUE } from '../../core/diagnose/index'
import { WORD_SETS, type Words } from '../../core/choices'

/** Sentences that are written once, in the words of every class. */

const words = (over: Partial<Words>): ReturnType<typeof packOf> => packOf({ ...WORD_SETS.exchange, ...over })

test.each([
  ['exchange 1 ten for 10 ones', 'regroup', 'regroup 1 ten as 10 units'],
  ['The ones need an exchange.', 'regroup', 'The units need a regrouping.'],
  ['Ten ones are exchanged for one ten.', 'regroup', 'Ten units are regrouped as one ten.'],
  ['All exchanges in one go.', 'trade', 'All trades in one go.'],
  ['Exchange for larger pieces first.', 'swap', 'Swap for larger pieces first.'],
  ['stopped exchanging at a nought', 'rename', 'stopped renaming at a zero'],
  ['that is no fair exchange.', 'bundle', 'that is no fair bundling.'],
] as const)('“%s” where the class says %s', (text, exchange, said) => {
  expect(inClassWords(text, words({ exchange, ones: 'units', english: 'american' }))).toBe(said)
})

test('a class that takes away reads of it in every title that subtracts', () => {
  const own = words({ exchange: 'exchange', ones: 'ones', minus: 'take away', english: 'british' })
  expect(inClassWords('Subtract across a zero', own)).toBe('Take away across a zero')
  for (const s of STEPS) expect(inClassWords(s.title, own)).not.toMatch(/^subtract/i)
})

test('a class with the words that everything is written in reads it unchanged', () => {
  const own = words({ exchange: 'exchange', ones: 'ones', minus: 'subtract', english: 'british' })
  fc.assert(
    fc.property(fc.constantFrom(...STEPS.map((s) => s.title), ...CATALOGUE.map((k) => k.name)), (text) => {
      expect(inClassWords(text, own)).toBe(text)
    }),
  )
})

test('no word of another class is left in any step, mistake or typed example', () => {
  const own = words({ exchange: 'regroup', ones: 'units', english: 'american' })
  const texts = [
    ...STEPS.map((s) => s.title),
    ...CATALOGUE.flatMap((k) => [k.name, ...Object.values(k).filter((v) => typeof v === 'string' && v.includes(' '))]),
    ...Object.values(REPRESENTATIONS).map((r) => r.example),
  ] as string[]
  for (const text of texts) expect(inClassWords(text, own)).not.toMatch(/exchang|\bones\b|\bnought/i)
})
