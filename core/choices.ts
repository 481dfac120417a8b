import type { LanguageId } from './language'
import { OWN_AT_FIRST, type MoneyChoices } from './number/money'

/** The classroom's settings that a way, a representation or the speech honours. Plain JSON. */
export interface Choices {
  /** The words used on screen, in speech and in print: chosen one by one, or one of two ready sets by its name. */
  readonly words: Words | WordSetId
  /** Fingers that are not there or not asked for; the others are counted on without remark. */
  readonly away: readonly Finger[]
  /** Which finger is one, and so in which order they rise. */
  readonly firstFinger: 'little' | 'thumb' | 'index'
  /** The hand that starts. */
  readonly firstHand: Hand
  /** Joint marks: four on each of five fingers, or three on each of four. */
  readonly joints: JointMarks
  /** Whether touch numerals in columns are worked with exchanges, or such problems are left for later. */
  readonly touchExchanges: boolean
  /** Where carry marks stand: over the next column, or below the rule. */
  readonly carryMarks: 'above' | 'below'
  /** How an enlarged digit is marked: a small 1 before it, or struck and written anew. */
  readonly smallOne: 'one' | 'rewrite'
  /** Whether empty places are filled with noughts, also after the point. */
  readonly zeroFill: boolean
  /** How a column of several digits is added: from the top down, or looking for tens first. */
  readonly columnSum: 'down' | 'tens'
  /** On the open number line: tens (and every further place) hopped one by one, or joined in one hop. */
  readonly hops: 'single' | 'joined'
  /** Which addend the open number line starts from. */
  readonly startFrom: 'greater' | 'first'
  /** Whether the class works the standard column method yet. */
  readonly columnMethod: boolean
  /** How the abacus is worked. */
  readonly abacus: AbacusChoices
  /** How numbers below nought are worked. */
  readonly signed: SignedChoices
  /** How parts of a whole are worked. */
  readonly parts: PartsChoices
  /** With which coins a class counts. */
  readonly money: MoneyChoices
  /** How a class divides in writing. */
  readonly division: DivisionChoices
}

export const QUOTIENT_ZEROS = ['write', 'leave'] as const
export const MULTIPLES = ['built', 'shown', 'hidden'] as const

/** How a class works long division (practice, section 13; common practice, no source). */
export interface DivisionChoices {
  /** Whether a 0 is written in the quotient where no group fits before its first digit, or the square is left. */
  readonly zero: (typeof QUOTIENT_ZEROS)[number]
  /** Whether the multiples of the divisor stand beside the sheet: as far as they have been counted, all of them, or none. */
  readonly multiples: (typeof MULTIPLES)[number]
  /** What the four steps of the loop are called, in their order. */
  readonly steps: readonly [string, string, string, string]
}

export const COMMONS = ['least', 'product'] as const
export const FRACTION_FORMS = ['fraction', 'units'] as const

/** How a class works with fractions (practice, section 11; common practice, no source). */
export interface PartsChoices {
  /** Which denominator different parts are brought to: the least common one, or the product of both. */
  readonly common: (typeof COMMONS)[number]
  /** Whether lines are written with fractions (3/10), or with their units (3 tenths). */
  readonly form: (typeof FRACTION_FORMS)[number]
  /** Whether it is asked first what the answer is near to: nought, a half or a whole. */
  readonly estimate: boolean
}

export const OWN_SIGNS = ['brackets', 'raised'] as const
/** Parts of a whole that a line may be ruled in; 0 for as many as the numbers need. */
export const RULINGS = [0, 2, 3, 4, 5, 6, 8, 9, 10, 12, 16, 20, 100] as const
export const STORIES = ['none', 'tower', 'tokens', 'lamp'] as const

/** How a class works with plus and minus (practice, section 10; common practice, no source). */
export interface SignedChoices {
  /** How many zero pairs are brought in where too few lie there: just enough, or as many as are taken. */
  readonly bring: 'enough' | 'number'
  /** Whether pairs are cleared away once they are lined up, or left standing. */
  readonly pairs: 'clear' | 'stand'
  /** On the line: whether one stands at the first number, or its arrow comes from nought. */
  readonly from: 'first' | 'nought'
  /** Whether the marks of the line have their numbers. */
  readonly marks: 'labelled' | 'blank'
  /** Into how many parts each whole of the line is ruled; 0 for as many as the numbers need. */
  readonly ruled: (typeof RULINGS)[number]
  /** How a number's own sign is drawn: `−3 − (−5)`, or raised: `⁻3 − ⁻5`. */
  readonly ownSign: (typeof OWN_SIGNS)[number]
  /** What plus and minus are told as: steps of the tower, tokens owned and owed, the charge of a lamp. */
  readonly story: (typeof STORIES)[number]
  /** Whether a guess is asked for first. */
  readonly estimate: boolean
}

/** How a class works its abacus (practice, section 9; common practice, no source). */
export interface AbacusChoices {
  /** How many rods the frame has, 1 to 13; 0 for as many as the problem needs. */
  readonly rods: number
  /** How many rods lie to the right of the unit rod, at the least. */
  readonly right: number
  /** Whether a number is worked from its highest place or from the ones. */
  readonly order: 'highest' | 'ones'
  /** Of a ten complement, what comes first: the ten on the next rod, or the complement on this one. */
  readonly first: 'ten' | 'complement'
  /** The hand that works, or both: the left for the tens and all above. */
  readonly hands: Hand | 'both'
  /** What the complements are called. */
  readonly names: ComplementNames
  /** How many beads each rod of the bead frame has. */
  readonly frameBeads: 9 | 10
}

/** Ready names of the five and the ten complement, or the class's own. */
export type ComplementNames = 'complement' | 'partner' | { readonly five: string; readonly ten: string }

/** 20 is four marks on each of five fingers, 12 three on each of four; or so many on each finger, from the little one to the thumb. */
export type JointMarks = 20 | 12 | readonly [number, number, number, number, number]

/** The marks on each finger of a hand, from the little one to the thumb. */
export const marksOf = (joints: JointMarks): readonly number[] =>
  joints === 20 ? [4, 4, 4, 4, 4] : joints === 12 ? [3, 3, 3, 3, 0] : joints

export type Hand = 'left' | 'right'
export type Digit = 'little' | 'ring' | 'middle' | 'index' | 'thumb'
export type Finger = `${Hand}-${Digit}`

/** Every finger, from the left little finger to the right one. */
export const FINGERS: readonly Finger[] = [
  'left-little',
  'left-ring',
  'left-middle',
  'left-index',
  'left-thumb',
  'right-thumb',
  'right-index',
  'right-middle',
  'right-ring',
  'right-little',
]

export const EXCHANGE_WORDS = ['exchange', 'regroup', 'trade', 'swap', 'rename', 'bundle'] as const
export const ONES_WORDS = ['ones', 'units'] as const
export const PLUS_WORDS = ['add', 'plus', 'and'] as const
export const MINUS_WORDS = ['take away', 'minus', 'subtract', 'less'] as const
export const EQUALS_WORDS = ['equals', 'makes', 'is the same as'] as const
export const ENGLISHES = ['british', 'american'] as const
export const NEGATIVES = ['negative', 'minus'] as const

/** A classroom's words, each chosen by itself (practice, section 1; common practice, no source). */
export interface Words {
  readonly exchange: (typeof EXCHANGE_WORDS)[number]
  readonly ones: (typeof ONES_WORDS)[number]
  readonly plus: (typeof PLUS_WORDS)[number]
  readonly minus: (typeof MINUS_WORDS)[number]
  readonly equals: (typeof EQUALS_WORDS)[number]
  /** British number names say *and* (three hundred and four) and nought; American ones do not, and say zero. */
  readonly english: (typeof ENGLISHES)[number]
  /** How a number below nought begins: “negative three” or “minus three”. */
  readonly negative: (typeof NEGATIVES)[number]
  /** The language of the Bench; English where nothing is said. */
  readonly language?: LanguageId
}

/** Ready sets of words, as records of earlier versions name them. */
export type WordSetId = 'exchange' | 'regroup'
export const WORD_SETS: Readonly<Record<WordSetId, Words>> = {
  exchange: {
    exchange: 'exchange',
    ones: 'ones',
    plus: 'add',
    minus: 'take away',
    equals: 'equals',
    english: 'british',
    negative: 'negative',
  },
  regroup: {
    exchange: 'regroup',
    ones: 'ones',
    plus: 'plus',
    minus: 'minus',
    equals: 'equals',
    english: 'american',
    negative: 'negative',
  },
}

export const DEFAULT_CHOICES: Choices = {
  words: 'exchange',
  away: [],
  firstFinger: 'little',
  firstHand: 'left',
  joints: 20,
  touchExchanges: true,
  carryMarks: 'above',
  smallOne: 'one',
  zeroFill: false,
  columnSum: 'down',
  hops: 'joined',
  startFrom: 'greater',
  columnMethod: true,
  abacus: {
    rods: 0,
    right: 0,
    order: 'highest',
    first: 'ten',
    hands: 'right',
    names: 'complement',
    frameBeads: 9,
  },
  signed: {
    bring: 'enough',
    pairs: 'clear',
    from: 'first',
    marks: 'labelled',
    ruled: 0,
    ownSign: 'brackets',
    story: 'none',
    estimate: false,
  },
  parts: { common: 'least', form: 'fraction', estimate: false },
  money: { set: 'token', notes: false, own: OWN_AT_FIRST },
  division: { zero: 'write', multiples: 'built', steps: ['divide', 'multiply', 'subtract', 'bring down'] },
}

export const withDefaults = (choices?: Partial<Choices>): Choices => ({ ...DEFAULT_CHOICES, ...choices })
