import { isWhole, multiply, sign } from '../number/exact'
import { MAX_DIGITS, numeralOf, parseNumeral, valueOf, type Numeral } from '../number/numeral'
import { Refusal, type Span } from '../refusal'
import {
  MAX_NUMBERS,
  MAX_PROBLEM_LENGTH,
  MOST_COMPARED,
  type Amount,
  type Group,
  type Naming,
  type Operation,
  type Problem,
  type Term,
} from './problem'

interface NumberToken extends Span {
  readonly kind: 'number'
  readonly text: string
  /** In brackets, with its own sign: `(-5)`, `(3/8)`. */
  readonly bracketed: boolean
}
interface SignToken extends Span {
  readonly kind: 'sign'
  readonly text: Operation
}
type Token = NumberToken | SignToken

/** Every sign that may stand between numbers, as it is typed. */
const SIGNS: Readonly<Record<string, Operation>> = {
  '+': '+',
  '-': '-',
  '−': '-',
  '–': '-',
  '×': '*',
  '*': '*',
  '·': '*',
  '÷': '/',
  ':': '/',
  '/': '/',
}
/** A slash with a space beside it divides; without one it makes a fraction (`612 / 7`, `3/8`). */
const NUMBER = /(?:\d+ )?\d+\/\d+|\d[\d,\u2009\u202f]*(?:\.\d+)?/y
/** A number in brackets, with its own sign. */
const BRACKETED = /\(\s*([+−–-]?)\s*((?:\d+ )?\d+\/\d+|\d[\d,]*(?:\.\d+)?)\s*\)/y

/** Every word or two that may stand for a sign (common practice, no source). */
const WORDS: Readonly<Record<string, Operation>> = {
  x: '*',
  plus: '+',
  add: '+',
  and: '+',
  minus: '-',
  less: '-',
  subtract: '-',
  'take away': '-',
  times: '*',
  'multiplied by': '*',
  'groups of': '*',
  'lots of': '*',
  'divided by': '/',
  'shared by': '/',
  'shared among': '/',
  'shared between': '/',
}
const PHRASE = /\p{L}+(?:\s+\p{L}+)?/uy

/** Numbers that are said in words where pairs are asked for. */
const SMALL = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']
/** More pairs than any mat has room for are no pairs asked for. */
const MOST_PAIRS = 20
const PAIRED = /^\s*([+−–-]?\d{1,9})\s*,?\s*(?:shown\s+)?with\s+(\d{1,3}|[a-z]+)\s+(?:zero\s+)?pairs?\s*$/i

/** One number to be set out with zero pairs (`4 with 3 pairs`), or undefined where it is something else. @throws Refusal for too many. */
function withPairs(text: string): Problem | undefined {
  const [, number, said] = PAIRED.exec(text) ?? []
  if (number === undefined || said === undefined) return undefined
  const pairs = /^\d/.test(said) ? Number(said) : SMALL.indexOf(said.toLowerCase())
  if (pairs < 1 || pairs > MOST_PAIRS)
    throw new Refusal(`“${said}” is no number of pairs to set out.`, `From 1 to ${MOST_PAIRS}, like 4 with 3 pairs.`)
  return { first: parseNumeral(number.replace(/^[−–]/, '-').replace(/^\+/, '')), terms: [], pairs }
}

/** The asking side of what was typed: without `=`, `= ?` or `equals` at its end. */
function askingSide(text: string): string {
  let end = text.length
  while (end > 0 && /[\s?▢_]/u.test(text[end - 1]!)) end -= 1
  return text.slice(0, end).replace(/(?:=|\b(?:equals|makes|is|is the same as))$/iu, '')
}

/** The sign that one or two words stand for, with its length in the text. */
function wordAt(text: string, at: number): { readonly sign: Operation; readonly length: number } | undefined {
  PHRASE.lastIndex = at
  const phrase = PHRASE.exec(text)?.[0]
  if (!phrase) return undefined
  for (const said of [phrase, phrase.split(/\s/)[0]!]) {
    const sign = WORDS[said.toLowerCase().replace(/\s+/g, ' ')]
    if (sign) return { sign, length: said.length }
  }
  return undefined
}

function refuseCharacter(text: string, at: number): never {
  const char = String.fromCodePoint(text.codePointAt(at)!)
  const span = { at, length: char.length }
  if (/\p{Nd}/u.test(char))
    throw new Refusal(`“${char}” at place ${at + 1} is a digit of another script.`, 'Write the digits 0 to 9.', span)
  if (char === '=')
    throw new Refusal(`The “=” at place ${at + 1} is not needed.`, 'Write only the asking side, like 52 − 37.', span)
  if (char === '.' || char === ',')
    throw new Refusal(`The “${char}” at place ${at + 1} stands without a digit on each side.`, '', span)
  if (char === '(' || char === ')')
    throw new Refusal(`The “${char}” at place ${at + 1} does not go round one number.`, 'Like −3 + (−5).', span)
  if (/\p{L}/u.test(char))
    throw new Refusal(
      `There is a letter, “${char}”, at place ${at + 1}.`,
      'Write numbers out in digits, like 52 − 37.',
      span,
    )
  throw new Refusal(
    `“${char}” at place ${at + 1} is not part of a problem.`,
    'Use digits, +, −, × and ÷, like 52 − 37.',
    span,
  )
}

/** The number that begins at a place in the text, by itself or in brackets. */
function numberAt(text: string, at: number): NumberToken | undefined {
  NUMBER.lastIndex = at
  const plain = NUMBER.exec(text)?.[0]
  if (plain !== undefined) return { kind: 'number', text: plain, bracketed: false, at, length: plain.length }
  BRACKETED.lastIndex = at
  const [all, own = '', number = ''] = BRACKETED.exec(text) ?? []
  if (all === undefined) return undefined
  const minus = own === '' || own === '+' ? '' : '-'
  return { kind: 'number', text: minus + number, bracketed: true, at, length: all.length }
}

function tokens(text: string): readonly Token[] {
  const found: Token[] = []
  let at = 0
  while (at < text.length) {
    const char = text[at]!
    if (/\s/.test(char)) {
      at += 1
      continue
    }
    const sign = SIGNS[char]
    const number = sign ? undefined : numberAt(text, at)
    const word = sign || number ? undefined : wordAt(text, at)
    const token: Token | undefined = sign
      ? { kind: 'sign', text: sign, at, length: 1 }
      : (number ?? (word && { kind: 'sign', text: word.sign, at, length: word.length }))
    if (!token) refuseCharacter(text, at)
    found.push(token)
    at += token.length
  }
  return found
}

function numeralAt(token: NumberToken, negative: boolean): Numeral {
  try {
    const numeral = parseNumeral(token.text)
    return negative ? { ...numeral, negative: !numeral.negative } : numeral
  } catch (error) {
    if (error instanceof Refusal) throw new Refusal(error.reason, error.hint, { at: token.at, length: token.length })
    throw error
  }
}

/** A fraction that stands alone could be a division as well: Sett asks which was meant, and offers both. */
function askWhich(read: readonly Token[]): void {
  const [only] = read
  if (read.length !== 1 || only?.kind !== 'number' || only.bracketed) return
  const [, top, bottom] = /^(\d+)\/(\d+)$/.exec(only.text) ?? []
  if (!top || !bottom || Number(bottom) === 0) return
  throw new Refusal(
    `${only.text} could be ${top} ÷ ${bottom}, or the fraction ${only.text}.`,
    `Say which: ${top} ÷ ${bottom} or (${only.text}).`,
    only,
    [
      { text: `${top} ÷ ${bottom}`, label: `${top} ÷ ${bottom}, a division` },
      { text: `(${only.text})`, label: `${only.text}, a fraction` },
    ],
  )
}

/** A number as it was written, what stands before it, and where. */
interface Item {
  readonly operation: Operation
  readonly number: Numeral
}

/** The numbers of a problem with the signs before them, as they are typed. A minus that touches the number after it and follows another sign is the number's own. */
function items(read: readonly Token[]): readonly Item[] {
  const found: Item[] = []
  let i = 0
  while (i < read.length) {
    const token = read[i]!
    const first = found.length === 0
    const sign = token.kind === 'sign' ? token : undefined
    if (!sign && !first)
      throw new Refusal(`There is no sign before “${token.text}” at place ${token.at + 1}.`, 'Put the sign in.', token)
    if (sign) i += 1
    const own = read[i]
    if (sign && own?.kind === 'sign') {
      const next = read[i + 1]
      const touches = next?.kind === 'number' && next.at === own.at + 1 && own.at > sign.at + 1 && own.text === '-'
      if (!touches || first)
        throw new Refusal(
          `Two signs stand side by side at place ${sign.at + 1}.`,
          'Write one of them, or put a number below nought in brackets, like 5 + (−3).',
          { at: sign.at, length: own.at + own.length - sign.at },
        )
      i += 1
      found.push({ operation: sign.text, number: numeralAt(next, true) })
    } else {
      if (own?.kind !== 'number')
        throw new Refusal(
          `The sign at place ${sign!.at + 1} has no number after it.`,
          'Write the number, or take the sign out.',
          sign,
        )
      if (first && sign && (sign.text === '*' || sign.text === '/'))
        throw new Refusal(`There is no number before the sign at place ${sign.at + 1}.`, 'Write it first.', sign)
      found.push({
        operation: first ? '+' : (sign?.text ?? '+'),
        number: numeralAt(own, first && sign?.text === '-'),
      })
    }
    i += 1
  }
  return found
}

const isProduct = ({ operation }: Item): boolean => operation === '*' || operation === '/'

/** How a product in a sum is made: one group of whole numbers, from nought up. @throws Refusal for every other product. */
function groupOf(count: Numeral, size: Numeral): Group {
  if (![count, size].every((n) => isWhole(valueOf(n)) && sign(valueOf(n)) >= 0))
    throw new Refusal('In a sum of groups, how many and how large are whole numbers.', 'Like 3 × 25 + 2 × 10.')
  return { count, size }
}

/** A sum of equal groups: `3 * 25 + 2 * 10 + 4 * 1`. @throws Refusal where something else is mixed with products. */
function sumOfGroups(all: readonly Item[]): Problem {
  const groups = all.flatMap((count, i): readonly Group[] => {
    const size = all[i + 1]
    return i % 2 === 0 && size?.operation === '*' && count.operation === '+' ? [groupOf(count.number, size.number)] : []
  })
  if (2 * groups.length !== all.length)
    throw new Refusal('Multiplying and dividing stand alone here.', 'Ask one step, like 7 × 9 or 36 ÷ 9.')
  const numbers = groups.map(({ count, size }) => multiply(valueOf(count), valueOf(size)))
  if (numbers.some((n) => n.length > MAX_DIGITS))
    throw new Refusal(`One of those groups comes to more than ${MAX_DIGITS} digits.`, 'Ask for fewer of them.')
  const [first, ...rest] = numbers.map(numeralOf)
  return { first: first!, terms: rest.map((number): Term => ({ operation: '+', number })), groups }
}

/** How a number may be asked to be written, as it is typed. */
const NAMINGS: readonly (readonly [RegExp, Exclude<Naming['kind'], 'parts'>])[] = [
  [/^\s*(.+?)\s+in\s+(?:its\s+)?(?:simplest|lowest)\s+(?:form|terms)\s*$/i, 'simplest'],
  [/^\s*(?:simplify|reduce)\s+(.+?)\s*$/i, 'simplest'],
  [/^\s*(.+?)\s+as\s+(?:a\s+)?decimal\s*$/i, 'decimal'],
  [/^\s*(.+?)\s+as\s+(?:a\s+)?fraction\s*$/i, 'fraction'],
  [/^\s*(.+?)\s+by\s+(?:other|another)\s+names?\s*$/i, 'others'],
]
const NAMED_PARTS = /^\s*(.+?)\s*=\s*[?▢_]\s*\/\s*(\d{1,3})\s*$/u

/** One number to be written another way (`2/3 = ?/12`, `6/8 in simplest form`), or undefined where it is something else. */
function naming(text: string): Problem | undefined {
  const [, number, of] = NAMED_PARTS.exec(text) ?? []
  if (number !== undefined && of !== undefined) {
    if (Number(of) < 2) throw new Refusal(`A whole is not cut into ${of} parts.`, 'Ask for halves at the least.')
    return { first: parseNumeral(plainMinus(number)), terms: [], named: { kind: 'parts', of: Number(of) } }
  }
  for (const [form, kind] of NAMINGS) {
    const [, named] = form.exec(text) ?? []
    if (named !== undefined) return { first: parseNumeral(plainMinus(named)), terms: [], named: { kind } }
  }
  return undefined
}

const plainMinus = (number: string): string => number.replace(/^[−–]\s*/u, '-').replace(/^\((.+)\)$/, '$1')

const LISTED = /^\s*(?:compare|order|put in order)\s+/i

/** Amounts that are held against one another (`3/8 + 2/8 ? 4/8`, `order 2/3, 3/4, 5/8`), or undefined where it is something else. */
function comparing(text: string): Problem | undefined {
  const listed = LISTED.exec(text)?.[0]
  const parted = listed
    ? betweenMarks(text.slice(listed.length), /,|\band\b|\bwith\b/gi, listed.length)
    : betweenMarks(text, /\?/g, 0)
  if (parted.length < 2) {
    if (listed) throw new Refusal('One number alone is not compared.', 'Like: compare 2/3, 3/4.')
    return undefined
  }
  if (parted.length > MOST_COMPARED)
    throw new Refusal(`${parted.length} numbers are many to put in order; up to ${MOST_COMPARED} can be.`)
  const [first, ...others] = parted.map(({ part, at }) => amountIn(' '.repeat(at) + part))
  return { ...first!, others }
}

/** The parts of a text between some marks, and where each begins. */
function betweenMarks(
  text: string,
  mark: RegExp,
  from: number,
): readonly { readonly part: string; readonly at: number }[] {
  const found: { part: string; at: number }[] = []
  let at = 0
  for (const m of text.matchAll(mark)) {
    found.push({ part: text.slice(at, m.index), at: from + at })
    at = m.index + m[0].length
  }
  return [...found, { part: text.slice(at), at: from + at }]
}

/** A number, or a sum or difference. @throws Refusal where it is neither. */
function amountIn(text: string): Amount {
  if (text.trim() === '') throw new Refusal('A number is missing beside the “?”.', 'Like: 3/8 + 2/8 ? 4/8.')
  const [head, ...terms] = items(tokens(text))
  if (terms.some(isProduct))
    throw new Refusal('What is compared here are numbers, sums and differences.', 'Like: 3/8 + 2/8 ? 4/8.')
  if (terms.length > MOST_COMPARED)
    throw new Refusal(`Up to ${MOST_COMPARED + 1} numbers stand on one side of a comparison.`)
  return { first: head!.number, terms }
}

/**
 * Reads a typed problem: numbers joined by signs or words (`52 minus 37`, `3 x 4`, `-3 + (-5)`, `2 2/5 + 1 3/4`), with spaces as one
 * likes and, if wanted, an equals sign at the end.
 * @throws Refusal with the span of the first trouble; where two things could be meant, with both of them to choose from.
 */
export function parseProblem(text: string): Problem {
  // A small raised sign is the number's own.
  const asking = askingSide(text.replace(/⁻\s*(\d[\d,.]*(?:\/\d+)?)/gu, '(-$1)'))
  if (asking.trim() === '')
    throw new Refusal('There is no problem yet.', 'Type one, like 52 − 37.', { at: 0, length: 0 })
  const digits = text.match(/\d+/g)?.reduce((n, run) => Math.max(n, run.length), 0) ?? 0
  if (text.length > MAX_PROBLEM_LENGTH)
    throw new Refusal(
      digits > 20
        ? `There is a number of ${digits} digits; Sett reads numbers of up to nine.`
        : `That is ${text.length} characters long; a problem may have ${MAX_PROBLEM_LENGTH}.`,
      'Ask a shorter problem.',
      { at: MAX_PROBLEM_LENGTH, length: text.length - MAX_PROBLEM_LENGTH },
    )
  const special = withPairs(asking) ?? naming(asking) ?? comparing(asking)
  if (special) return special
  const read = tokens(asking)
  askWhich(read)
  const all = items(read)
  if (all.length > MAX_NUMBERS)
    throw new Refusal(
      `That chain has ${all.length} numbers; up to ${MAX_NUMBERS} fit on a page.`,
      'Ask it in two parts.',
    )
  const [head, ...terms] = all
  const product = terms.find(isProduct)
  if (product && terms.length > 1) return sumOfGroups(all)
  if (product?.operation === '/' && sign(valueOf(product.number)) === 0)
    throw new Refusal('Nothing can be divided by nought.', 'Divide by another number.')
  return { first: head!.number, terms }
}

/** Accepts a problem typed or already read. */
export const toProblem = (problem: Problem | string): Problem =>
  typeof problem === 'string' ? parseProblem(problem) : problem
