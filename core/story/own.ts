import { add, exact, isWhole, multiply, sign, ZERO, type Exact } from '../number/exact'
import { Refusal } from '../refusal'
import {
  completed,
  problemFor,
  sentenceOf,
  SITUATIONS,
  solvingOf,
  toldOf,
  type Amounts,
  type Cell,
  type Operation,
  type Role,
} from './situation'

/**
 * A teacher's own story: its numbers are found, and somebody says what each of them is. Nothing is guessed from key words; Sett only says
 * which words would mislead whoever listens to them alone.
 */

/** A number as it stands in a text. */
export interface FoundNumber {
  readonly at: number
  readonly length: number
  readonly text: string
  readonly value: Exact
  /** The word after it, or the sign of its money: what it is a number of. */
  readonly unit: string
  /** Whether it is said to lie below: “3 steps below the ground”. */
  readonly below?: true
}

const SMALL: Readonly<Record<string, number>> = Object.fromEntries(
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'
    .split(' ')
    .map((word, i) => [word, i]),
)
const TENS: Readonly<Record<string, number>> = Object.fromEntries(
  'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ').map((word, i) => [word, 20 + 10 * i]),
)
const SCALES: Readonly<Record<string, number>> = { hundred: 100, thousand: 1000, million: 1_000_000 }
const ALONE: Readonly<Record<string, Exact>> = {
  nought: ZERO,
  half: exact('1/2'),
  quarter: exact('1/4'),
  dozen: exact(12),
}

const NUMBER_WORD = [...Object.keys(SMALL), ...Object.keys(TENS)].join('|')
const SCALE_WORD = Object.keys(SCALES).join('|')
/** Number names: “twenty-three”, “one hundred and four”, “two thousand”; or a word that is a number by itself. */
const NAMES = new RegExp(
  `\\b(?:(?:${NUMBER_WORD})(?:[ -]|\\b)(?:(?:and )?(?:${NUMBER_WORD}|${SCALE_WORD})(?:[ -]|\\b))*|${Object.keys(ALONE).join('|')}\\b)`,
  'giu',
)
/** Figures: money, mixed numbers and fractions, decimals, thousands with commas. */
const FIGURES = /([$£€])?(\d{1,3}(?:,\d{3})+|\d+)(?:\.(\d+))?(?: (\d+)\/(\d+)|\/(\d+))?/gu

/** The value of number names; undefined where they are no number that anybody says. */
function valueOfNames(text: string): Exact | undefined {
  const words = text.toLowerCase().trim().split(/[ -]+/)
  const alone = ALONE[words[0]!]
  if (alone !== undefined) return alone
  let [all, group] = [0, 0]
  for (const word of words) {
    if (word === 'and' || word === '') continue
    const scale = SCALES[word]
    if (scale === undefined) group += SMALL[word] ?? TENS[word] ?? 0
    else if (scale === 100) group = Math.max(1, group) * 100
    else {
      all += Math.max(1, group) * scale
      group = 0
    }
  }
  return Number.isSafeInteger(all + group) ? exact(all + group) : undefined
}

function valueOfFigures([, , whole = '0', decimals = '', top, bottom, under]: RegExpExecArray | RegExpMatchArray):
  Exact | undefined {
  const plain = whole.replaceAll(',', '')
  if (under !== undefined) return /^0+$/.test(under) ? undefined : exact(`${plain}/${under}`)
  const value = decimals ? exact(`${plain}${decimals}/1${'0'.repeat(decimals.length)}`) : exact(plain)
  if (top === undefined) return value
  return /^0+$/.test(bottom!) ? undefined : add(value, exact(`${top}/${bottom}`))
}

/** The longest story that is looked through. */
export const MOST_STORY = 1000

/** Every number in a text, in figures or in words, in the order in which they stand. */
export function numbersFound(text: string): readonly FoundNumber[] {
  const looked = text.slice(0, MOST_STORY)
  const found: FoundNumber[] = []
  const put = (at: number, shown: string, value: Exact | undefined, money = ''): void => {
    if (value === undefined) return
    const unit = money || /^ ([\p{L}-]+)/u.exec(looked.slice(at + shown.length))?.[1] || ''
    const after = looked.slice(at + shown.length)
    const below = /^ (?:[\p{L}-]+ )?(?:below|under)\b/iu.test(after) || /(?:^|\s)[−–-]$/u.test(looked.slice(0, at))
    found.push({ at, length: shown.length, text: shown, value, unit, ...(below ? { below } : {}) })
  }
  for (const m of looked.matchAll(FIGURES)) put(m.index, m[0], valueOfFigures(m), m[1])
  for (const m of looked.matchAll(NAMES)) {
    const shown = m[0].replace(/(?:[ -]+|[ -]and ?)$/i, '')
    // A level is above or below zero; no zero is told by that.
    if (!/\b(?:above|below) $/i.test(looked.slice(0, m.index))) put(m.index, shown, valueOfNames(shown))
  }
  return found.sort((a, b) => a.at - b.at)
}

/** Words that people are taught to listen for, and what they make one do (common practice, no source). */
const KEY_WORDS: readonly (readonly [RegExp, Operation])[] = [
  [/\b(?:more|altogether|in all|total|sum|together|joined?|gains?|adds?)\b/giu, '+'],
  [/\b(?:fewer|less|left|gave away|gives away|loses?|lost|took|takes|remain(?:s|ing)?|difference|shorter)\b/giu, '-'],
  [/\b(?:times|each|every|double|twice)\b/giu, '*'],
  [/\b(?:shared?|shares|split|equally|per)\b/giu, '/'],
]

export interface KeyWord {
  readonly at: number
  readonly text: string
  readonly suggests: Operation
}
export const keyWordsIn = (text: string): readonly KeyWord[] =>
  KEY_WORDS.flatMap(([pattern, suggests]) =>
    [...text.slice(0, MOST_STORY).matchAll(pattern)].map((m) => ({ at: m.index, text: m[0], suggests })),
  ).sort((a, b) => a.at - b.at)

/** What a teacher says of a story: which situation it is, what is asked, and which number is which amount. */
export interface OwnWish {
  readonly text: string
  readonly cell: Cell
  /** For each amount that is told, its place in the list of numbers found. */
  readonly marks: Readonly<Partial<Record<Role, number>>>
}
export interface OwnStory {
  readonly cell: Cell
  readonly roles: Amounts
  readonly answer: Exact | null
  readonly sentence: string
  readonly problem: string | null
  /** Words that would make one do something else than what is worked. */
  readonly misleading: readonly KeyWord[]
  /** Numbers of the text that are no amount of it. */
  readonly extra: readonly FoundNumber[]
}

const NAMES_OF: Readonly<Partial<Record<Role, string>>> = {
  start: 'how many there are at first',
  change: 'how many come or go',
  result: 'how many there are in the end',
  whole: 'how many there are in all',
  first: 'one part',
  second: 'the other part',
  lesser: 'the smaller amount',
  greater: 'the larger amount',
  difference: 'the difference',
  number: 'how many groups there are',
  size: 'how many are in each',
  product: 'how many there are in all',
  share: 'which part of it',
  part: 'how much that part is',
  there: 'how much there is',
  wanted: 'how much is wanted',
  over: 'how much is left over or missing',
}
/** Of a level it is said where one is, and how far it goes. */
const LEVEL_NAMES: typeof NAMES_OF = {
  start: 'where it is at first',
  change: 'how far it goes',
  result: 'where it is now',
}
const nameIn = ({ situation }: Cell, role: Role): string =>
  (situation === 'rise' || situation === 'fall' ? LEVEL_NAMES[role] : undefined) ?? NAMES_OF[role]!
/** Situations in which an amount may lie below nought. */
const BELOW_NOUGHT: readonly Cell['situation'][] = ['rise', 'fall', 'enough']

/** Checks a teacher's own story. @throws Refusal saying what is missing, or why these amounts cannot be. */
export function ownStory({ text, cell, marks }: OwnWish): OwnStory {
  const numbers = numbersFound(text)
  const told = toldOf(cell)
  const missing = told.filter((role) => numbers[marks[role] ?? -1] === undefined)
  if (missing.length > 0)
    throw new Refusal(
      `Choose which number is ${missing.map((role) => nameIn(cell, role)).join(', and which is ')}.`,
      'Each amount has a list of the numbers found.',
    )
  const used = told.map((role) => marks[role]!)
  if (new Set(used).size < used.length) throw new Refusal('One number cannot be two amounts.', 'Tap the other one.')
  const level = cell.situation === 'rise' || cell.situation === 'fall'
  const known = Object.fromEntries(
    told.map((role) => {
      const { value, below } = numbers[marks[role]!]!
      return [role, level && below && role !== 'change' ? multiply(value, exact(-1)) : value]
    }),
  ) as Amounts
  const roles = completed(cell, known)
  const answer = cell.unknown === 'both' ? null : roles[cell.unknown]!
  if (answer !== null && sign(answer) < 0 && !BELOW_NOUGHT.includes(cell.situation))
    throw new Refusal('That cannot be: there would be less than none.', 'Look at which number is which.')
  if (roles.number !== undefined && !isWhole(roles.number) && cell.situation !== 'times')
    throw new Refusal('That cannot be: there would be a part of a group.', 'Look at which number is which.')
  const operation = solvingOf(cell)?.operation
  return {
    cell,
    roles,
    answer,
    sentence: sentenceOf(cell, roles),
    problem: problemFor(cell, roles) ?? null,
    misleading: operation ? keyWordsIn(text).filter((word) => word.suggests !== operation) : [],
    extra: numbers.filter((_, i) => !used.includes(i)),
  }
}

/** The amounts of a situation, as they are named to a teacher. */
export const rolesOf = (cell: Cell): readonly (readonly [Role, string])[] =>
  SITUATIONS[cell.situation].roles.map((role) => [role, nameIn(cell, role)] as const)
