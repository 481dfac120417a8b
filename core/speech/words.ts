import type { LanguageId } from '../language'
import type { WordPack } from './pack'
import { WORD_SETS, type SignedChoices, type Words, type WordSetId } from '../choices'
import { AMERICAN, BRITISH, decimalInWords, countingName, partsName } from '../number/words'
import { exact, type Exact } from '../number/exact'
import { lowestText } from '../number/fractions'
import { valueOf, type Numeral } from '../number/numeral'
import { placeName, type Place } from '../number/places'
import { numberText } from '../number/text'
import type { Pieces, Units } from '../number/units'
import type { Operation } from '../problem/problem'

export type { WordPack }

const EXCHANGES: Readonly<Record<Words['exchange'], WordPack['exchange']>> = {
  exchange: {
    verb: 'exchange',
    breaks: 'exchange',
    link: 'for',
    noun: 'exchange',
    done: 'exchanged',
    doing: 'exchanging',
  },
  regroup: {
    verb: 'regroup',
    breaks: 'regroup',
    link: 'as',
    noun: 'regrouping',
    done: 'regrouped',
    doing: 'regrouping',
  },
  trade: { verb: 'trade', breaks: 'trade', link: 'for', noun: 'trade', done: 'traded', doing: 'trading' },
  swap: { verb: 'swap', breaks: 'swap', link: 'for', noun: 'swap', done: 'swapped', doing: 'swapping' },
  rename: { verb: 'rename', breaks: 'rename', link: 'as', noun: 'renaming', done: 'renamed', doing: 'renaming' },
  bundle: { verb: 'bundle', breaks: 'unbundle', link: 'into', noun: 'bundling', done: 'unbundled', doing: 'bundling' },
}

const packs = new Map<string, WordPack>()
const packsOf = new WeakMap<Words, WordPack>()
const kept = (words: Words, pack: WordPack): WordPack => {
  packsOf.set(words, pack)
  return pack
}

const packers = new Map<LanguageId, (words: Words) => WordPack>()
/** Lets a language make the packs of those who speak it. */
export const introducePacks = (language: LanguageId, packer: (words: Words) => WordPack): void =>
  void packers.set(language, packer)

/** The forms of a classroom's words. The same words always give the same pack. */
export function packOf(words: Words | WordSetId): WordPack {
  const chosen = typeof words === 'string' ? WORD_SETS[words] : words
  const same = packsOf.get(chosen)
  if (same) return same
  const key = Object.values(chosen).join('|')
  const known = packs.get(key)
  if (known) return kept(chosen, known)
  if (chosen.language && chosen.language !== 'en') {
    const made = packers.get(chosen.language)?.(chosen)
    // A language that is not here yet is told in English until it is.
    if (!made) return packOf({ ...chosen, language: 'en' })
    packs.set(key, made)
    return kept(chosen, made)
  }
  const british = chosen.english === 'british'
  const pack: WordPack = {
    language: 'en',
    exchange: EXCHANGES[chosen.exchange],
    ones: chosen.ones === 'units' ? ['unit', 'units'] : ['one', 'ones'],
    plus: chosen.plus,
    minus: chosen.minus,
    add: 'add',
    take: chosen.minus === 'minus' || chosen.minus === 'subtract' ? 'subtract' : 'take away',
    equals: chosen.equals,
    sentence: british ? 'number sentence' : 'equation',
    and: 'and',
    numbers: { ...(british ? BRITISH : AMERICAN), negative: chosen.negative },
  }
  packs.set(key, pack)
  return kept(chosen, pack)
}

/** Several things in one breath: “tens, ones and tenths”. */
export const spokenList = (said: readonly string[]): string => LIST.format(said)
const LIST = new Intl.ListFormat('en-GB', { style: 'long', type: 'conjunction' })

/** A number as it is written: 4/8 is “four eighths”, and 2 2/5 “two and two fifths”. */
export function sayNumeral(numeral: Numeral, pack: WordPack): string {
  if (numeral.form === 'places') return decimalInWords(valueOf(numeral), pack.numbers)
  const { negative, whole, numerator, denominator } = numeral
  const parts = `${countingName(BigInt(numerator), pack.numbers)} ${partsName(BigInt(denominator), pack.numbers, numerator !== '1')}`
  return `${negative ? `${pack.numbers.negative} ` : ''}${whole ? `${say(exact(whole), pack)} and ` : ''}${parts}`
}

export const say = (value: Exact | number, pack: WordPack): string =>
  pack.fractions && String(value).includes('/')
    ? sayWritten(lowestText(value as Exact), pack)
    : decimalInWords(String(value) as Exact, pack.numbers)

/** A number as it is written, in words. */
export function sayWritten(text: string, pack: WordPack): string {
  const [, minus, whole = '', numerator, denominator] = /^(-?)(?:(\d+) )?(\d+)\/(\d+)$/.exec(text) ?? []
  return numerator === undefined || denominator === undefined
    ? decimalInWords(exact(text), pack.numbers)
    : sayNumeral({ form: 'fraction', negative: minus !== '', whole, numerator, denominator }, pack)
}

/** A number as it was made of pieces, in words: four eighths are no half. */
export const sayMade = (
  value: Exact,
  pieces: readonly Pieces[] | undefined,
  pack: WordPack,
  units: Units | undefined,
): string => (units?.fractions && pieces ? sayWritten(numberText(value, units, pieces), pack) : say(value, pack))

const fractional = new WeakMap<WordPack, WordPack>()

/** The words of a class where a problem's numbers are fractions. */
export function inFractions(pack: WordPack): WordPack {
  const known = fractional.get(pack) ?? { ...pack, fractions: true }
  fractional.set(pack, known)
  return known
}

/** One of a place, or several, in the pack's words. */
export const named = (place: Place, count: number, pack: WordPack): string =>
  pack.place?.(place, count) ?? (place === 0 ? pack.ones[count === 1 ? 0 : 1] : placeName(place, count))

export const operationWord = (operation: Operation, pack: WordPack): string =>
  ({ '+': pack.plus, '-': pack.minus, '*': 'times', '/': 'divided by' })[operation]

export { capital } from '../number/words'
/** A number below nought, at the start of a side or after an operation: its sign is its own. */
const OWN = /(^|[=(?] ?|[+*/<>-] )-((?:\d+ (?=\d+\/))?\d[\d.]*(?:\/\d+)?)/g

/**
 * ASCII arithmetic as it is shown: a real minus sign and a multiplication sign; a hyphen in a word stays one. A number's own sign
 * stands in brackets after an operation (`8 − (−4)`), or is raised everywhere (`8 − ⁻4`).
 */
export function pretty(ascii: string, ownSign: SignedChoices['ownSign'] = 'brackets'): string {
  const signed = ascii.includes('-') ? withSigns(ascii, ownSign) : ascii
  return signed.replaceAll(' * ', ' × ').replaceAll(' / ', ' ÷ ')
}

const withSigns = (ascii: string, ownSign: SignedChoices['ownSign']): string =>
  ascii
    .replace(OWN, (_, before: string, number: string) => {
      if (ownSign === 'raised') return `${before}⁻${number}`
      return /^[+*/<>-]/.test(before) ? `${before}(-${number})` : `${before}-${number}`
    })
    .replace(/(?<!\p{L})-/gu, '−')

const FRACTION = /(?:(\d+) )?(\d+)\/(\d+)/g

/** A line with its fractions in the form of units: `3/10 + 4/10 = 7/10` is “3 tenths + 4 tenths = 7 tenths”. */
export const inUnitForm = (line: string): string =>
  line.replace(FRACTION, (_, whole: string | undefined, top: string, bottom: string) => {
    const parts = `${top} ${partsName(BigInt(bottom), BRITISH, top !== '1')}`
    return whole === undefined ? parts : `${whole} and ${parts}`
  })
