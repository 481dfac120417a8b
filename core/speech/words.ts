import type { WordPackId } from '../choices'
import { AMERICAN, BRITISH, decimalInWords, type NumberWords } from '../number/words'
import type { Exact } from '../number/exact'
import { placeName, type Place } from '../number/places'
import type { Operation } from '../problem/problem'

/** A classroom's words. One pack serves screen, speech and print. */
export interface WordPack {
  readonly id: WordPackId
  /** How the pack is offered in a list. */
  readonly title: string
  readonly exchange: { readonly verb: string; readonly noun: string; readonly done: string }
  /** What one of the lowest place is called, and several. */
  readonly ones: readonly [string, string]
  readonly plus: string
  readonly minus: string
  /** The verbs that start a sentence. */
  readonly add: string
  readonly take: string
  readonly equals: string
  readonly sentence: string
  readonly numbers: NumberWords
}

export const WORD_PACKS: Readonly<Record<WordPackId, WordPack>> = {
  exchange: {
    id: 'exchange',
    title: 'exchange · ones · take away',
    exchange: { verb: 'exchange', noun: 'exchange', done: 'exchanged' },
    ones: ['one', 'ones'],
    plus: 'add',
    minus: 'take away',
    add: 'add',
    take: 'take away',
    equals: 'equals',
    sentence: 'number sentence',
    numbers: BRITISH,
  },
  regroup: {
    id: 'regroup',
    title: 'regroup · ones · subtract',
    exchange: { verb: 'regroup', noun: 'regrouping', done: 'regrouped' },
    ones: ['one', 'ones'],
    plus: 'plus',
    minus: 'minus',
    add: 'add',
    take: 'subtract',
    equals: 'equals',
    sentence: 'equation',
    numbers: AMERICAN,
  },
}

export const say = (value: Exact | number, pack: WordPack): string =>
  decimalInWords(String(value) as Exact, pack.numbers)

/** One of a place, or several, in the pack's words. */
export const named = (place: Place, count: number, pack: WordPack): string =>
  place === 0 ? pack.ones[count === 1 ? 0 : 1] : placeName(place, count)

export const operationWord = (operation: Operation, pack: WordPack): string =>
  ({ '+': pack.plus, '-': pack.minus, '*': 'times', '/': 'divided by' })[operation]

export { capital } from '../number/words'
/** ASCII arithmetic as it is shown: a real minus sign and a multiplication sign; a hyphen in a word stays one. */
export const pretty = (ascii: string): string =>
  ascii
    .replace(/(?<!\p{L})-/gu, '−')
    .replaceAll(' * ', ' × ')
    .replaceAll(' / ', ' ÷ ')
