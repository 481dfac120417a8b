import { parseNumeral, type Numeral } from '../number/numeral'
import { Refusal, type Span } from '../refusal'
import type { Operation } from './problem'

/** What is typed, read as numbers with the signs before them. */

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
export type Token = NumberToken | SignToken

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

/** An amount of money with its sign, the large unit before or after the number, the small one after it. */
const MONEY = /([$£€])\s*(\d[\d,]*(?:\.\d*)?)|(\d[\d,]*(?:\.\d*)?)\s*(?:(€)|(?:¢|[pc](?![\p{L}\d])))/uy

/** An amount of money, in the small unit: `$1.35` and `135¢` are 135. @throws Refusal for anything but two places after the point. */
function moneyAt(text: string, at: number): NumberToken | undefined {
  MONEY.lastIndex = at
  const [all, before, large, other, after] = MONEY.exec(text) ?? []
  if (all === undefined) return undefined
  const [whole = '', point] = (large ?? other ?? '').replaceAll(',', '').split('.')
  const inLarge = before !== undefined || after !== undefined
  const span = { at, length: all.length }
  if (point !== undefined && !(inLarge && /^\d\d$/.test(point)))
    throw new Refusal(
      inLarge ? `“${all}” needs two places after the point.` : `“${all}” has a part of the smallest coin.`,
      inLarge ? `Like ${before ?? ''}${whole}.${point.padEnd(2, '0').slice(0, 2)}${after ?? ''}.` : 'Write it whole.',
      span,
    )
  const small = inLarge ? `${whole}${point ?? '00'}`.replace(/^0+(?=\d)/, '') : whole
  return { kind: 'number', text: small, bracketed: false, ...span }
}

/** The number that begins at a place in the text, by itself or in brackets. */
function numberAt(text: string, at: number): NumberToken | undefined {
  const money = moneyAt(text, at)
  if (money) return money
  NUMBER.lastIndex = at
  const plain = NUMBER.exec(text)?.[0]
  if (plain !== undefined) return { kind: 'number', text: plain, bracketed: false, at, length: plain.length }
  BRACKETED.lastIndex = at
  const [all, own = '', number = ''] = BRACKETED.exec(text) ?? []
  if (all === undefined) return undefined
  const minus = own === '' || own === '+' ? '' : '-'
  return { kind: 'number', text: minus + number, bracketed: true, at, length: all.length }
}

export function tokens(text: string): readonly Token[] {
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

/** A number as it was written, what stands before it, and where. */
export interface Item {
  readonly operation: Operation
  readonly number: Numeral
}

/** The numbers of a problem with the signs before them, as they are typed. A minus that touches the number after it and follows another sign is the number's own. */
export function items(read: readonly Token[]): readonly Item[] {
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

export const isProduct = ({ operation }: Item): boolean => operation === '*' || operation === '/'
