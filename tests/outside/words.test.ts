import fc from 'fast-check'
import { toWords } from 'number-to-words'
import { exact } from '../../core/number/exact'
import { AMERICAN, BRITISH, inWords } from '../../core/number/words'

/** Two general packages that name numbers: `written-number` with *and*, `number-to-words` without. */
// eslint-disable-next-line @typescript-eslint/no-require-imports -- it ships no types and no ES module
const writtenNumber = require('written-number') as (n: number, options: { lang: string }) => string

const numbers = fc.oneof(fc.nat(99), fc.nat(1_100), fc.nat(999_999), fc.nat(999_999_999))
const bare = (text: string): string => text.replaceAll(',', '').replaceAll('-', ' ')

test('American number names to 999,999,999 are those of number-to-words', () => {
  fc.assert(
    fc.property(numbers, (n) => expect(bare(inWords(exact(n), AMERICAN))).toBe(bare(toWords(n)))),
    { numRuns: 2000 },
  )
})

test('British number names say the same, with their “and” where written-number puts it below a thousand', () => {
  fc.assert(
    fc.property(numbers, (n) => {
      const ours = bare(inWords(exact(n), BRITISH))
      expect(ours.replaceAll(' and ', ' ').replace('nought', 'zero')).toBe(bare(toWords(n)))
    }),
    { numRuns: 2000 },
  )
  // In thousands and millions that package uses “and” in neither custom; below a thousand it is British throughout.
  for (let n = 1; n < 1000; n++) expect(bare(inWords(exact(n), BRITISH))).toBe(bare(writtenNumber(n, { lang: 'en' })))
})
