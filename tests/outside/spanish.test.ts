import fc from 'fast-check'
import { ToWords } from 'to-words'
import { exact } from '../../core/number/exact'
import { beforeNoun, SPANISH_NAMES, wholeInSpanish } from '../../core/number/spanish'
import { decimalInWords } from '../../core/number/words'

/** Spanish number names against to-words 5.7 (MIT), a general package with a Spanish locale, and the Ortografía (from memory). */

const theirs = new ToWords({ localeCode: 'es-ES' })
/**
 * What the package says otherwise is left out by rule, and checked below by hand: it does not shorten “uno” before “mil” after
 * “veinti” (“veintiuno mil”), and writes “millon” without its accent.
 */
const comparable = (n: number): boolean => !/21\d{3}$/.test(String(n))
const said = (n: number): string =>
  theirs
    .convert(n)
    .toLowerCase()
    .replace('millon ', 'millón ')
    .replace(/millon$/, 'millón')

describe('Spanish number names', () => {
  test('to a thousand, every one', () => {
    for (let n = 0; n <= 1000; n++) expect([n, wholeInSpanish(BigInt(n))]).toEqual([n, said(n)])
  })

  test('to a million million, by chance', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999_999_999 }), (n) => {
        fc.pre(comparable(n) && comparable(Math.floor(n / 1000)) && comparable(Math.floor(n / 1_000_000)))
        fc.pre(!/[2-9]?1\d{6}$/.test(String(n)))
        expect([n, wholeInSpanish(BigInt(n))]).toEqual([n, said(n)])
      }),
      { numRuns: 500 },
    )
  })

  // Ortografía de la lengua española, 2010, chapter on numerals (from memory).
  test.each([
    [21_000, 'veintiún mil'],
    [31_000, 'treinta y un mil'],
    [101_001, 'ciento un mil uno'],
    [1_000_000, 'un millón'],
    [21_000_000, 'veintiún millones'],
    [1_000_000_000, 'mil millones'],
    [
      999_999_999_999,
      'novecientos noventa y nueve mil novecientos noventa y nueve millones novecientos noventa y nueve mil novecientos noventa y nueve',
    ],
  ])('%d is %s', (n, name) => expect(wholeInSpanish(BigInt(n))).toBe(name))

  test.each([
    [1, 'feminine', 'una'],
    [1, 'masculine', 'un'],
    [21, 'feminine', 'veintiuna'],
    [21, 'masculine', 'veintiún'],
    [31, 'masculine', 'treinta y un'],
    [200, 'feminine', 'doscientas'],
    [500, 'feminine', 'quinientas'],
    [11, 'feminine', 'once'],
  ] as const)('%d before a %s noun is %s', (n, gender, name) => expect(beforeNoun(BigInt(n), gender)).toBe(name))

  test.each([
    ['7.4', 'siete coma cuatro'],
    ['0.05', 'cero coma cero cinco'],
    ['-3', 'menos tres'],
    ['5/6', 'cinco sextos'],
    ['1/3', 'un tercio'],
    ['1/12', 'un doceavo'],
    ['21/100', 'cero coma dos uno'],
  ])('%s is %s', (value, name) => {
    const style = { and: false, zero: 'cero', negative: 'menos', fourth: 'cuarto', own: SPANISH_NAMES }
    expect(decimalInWords(exact(value), style)).toBe(name)
  })
})
