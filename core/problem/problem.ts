import { add, divide, exact, multiply, sign, subtract, type Exact } from '../number/exact'
import { decimalsOf, parseNumeral, printNumeral, valueOf, type Numeral } from '../number/numeral'
import { Refusal, type Span } from '../refusal'

/** Adding and taking away, which make chains; multiplying and dividing, which stand alone. */
export type Operation = '+' | '-' | '*' | '/'

/** The operations of a chain. */
export type Sign = '+' | '-'

/** One further number of a chain, and what is done with it. */
export interface Term {
  readonly operation: Operation
  readonly number: Numeral
}

/** A chain of numbers: `52 - 37`, `33 + 4 - 6 + 2`, worked from the left; or one product or quotient: `7 * 9`, `36 / 9`. */
export interface Problem {
  readonly first: Numeral
  readonly terms: readonly Term[]
}

/** How long a typed problem may be before Sett stops reading, in characters. */
export const MAX_PROBLEM_LENGTH = 1500
/** How many numbers a chain may have. */
export const MAX_NUMBERS = 100

interface Token extends Span {
  readonly kind: 'number' | 'sign'
  readonly text: string
}

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
/** A slash with a space before it divides; without one it makes a fraction (`612 / 7`, `3/8`). */
const NUMBER = /(?:\d+ )?\d+\/\d+|\d[\d,\u2009\u202f]*(?:\.\d+)?/y

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
  'divided by': '/',
}
const PHRASE = /\p{L}+(?:\s+\p{L}+)?/uy
/** The asking side of what was typed: without `=`, `= ?` or `equals` at its end. */
function askingSide(text: string): string {
  let end = text.length
  while (end > 0 && /[\s?▢_]/u.test(text[end - 1]!)) end -= 1
  return text.slice(0, end).replace(/(?:=|\b(?:equals|makes|is))$/iu, '')
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

function tokens(text: string): Token[] {
  const found: Token[] = []
  let at = 0
  while (at < text.length) {
    const char = text[at]!
    if (/\s/.test(char)) {
      at += 1
    } else if (SIGNS[char]) {
      found.push({ kind: 'sign', text: SIGNS[char], at, length: 1 })
      at += 1
    } else {
      NUMBER.lastIndex = at
      const number = NUMBER.exec(text)?.[0]
      const word = number === undefined ? wordAt(text, at) : undefined
      if (word) {
        found.push({ kind: 'sign', text: word.sign, at, length: word.length })
        at += word.length
        continue
      }
      if (number === undefined) refuseCharacter(text, at)
      found.push({ kind: 'number', text: number, at, length: number.length })
      at += number.length
    }
  }
  return found
}

function numeralAt(token: Token, negative: boolean): Numeral {
  try {
    const numeral = parseNumeral(token.text)
    return negative ? { ...numeral, negative: true } : numeral
  } catch (error) {
    if (error instanceof Refusal) throw new Refusal(error.reason, error.hint, { at: token.at, length: token.length })
    throw error
  }
}

/** A fraction that stands alone and comes out whole is a division: `12/4`; beside other numbers it is a fraction. */
function aloneDivides(read: Token[]): Token[] {
  const [only] = read
  const [, top, bottom] = (read.length === 1 && /^(\d+)\/(\d+)$/.exec(only!.text)) || []
  if (!only || !top || !bottom || Number(bottom) === 0 || Number(top) % Number(bottom) !== 0) return read
  const sign = only.at + top.length
  return [
    { ...only, text: top, length: top.length },
    { kind: 'sign', text: '/', at: sign, length: 1 },
    { kind: 'number', text: bottom, at: sign + 1, length: bottom.length },
  ]
}

/**
 * Reads a typed problem: numbers joined by signs or words (`52 minus 37`, `3 x 4`), with spaces as one likes and, if wanted, an
 * equals sign at the end. A sign that touches the number after it and follows another sign is the number's own (`5 - -3`).
 * @throws Refusal with the span of the first trouble.
 */
export function parseProblem(text: string): Problem {
  const asking = askingSide(text)
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
  const read = aloneDivides(tokens(asking))
  const numbers: { operation: Operation; number: Numeral }[] = []
  let i = 0
  while (i < read.length) {
    const sign = read[i]!.kind === 'sign' ? read[i++]! : undefined
    if (!sign && numbers.length > 0) {
      const token = read[i]!
      throw new Refusal(`There is no sign before “${token.text}” at place ${token.at + 1}.`, 'Put the sign in.', token)
    }
    let own = read[i]
    if (sign && own?.kind === 'sign') {
      const next = read[i + 1]
      const touches = next?.kind === 'number' && next.at === own.at + 1 && own.at > sign.at + 1 && own.text === '-'
      if (!touches)
        throw new Refusal(`Two signs stand side by side at place ${sign.at + 1}.`, 'Write one of them.', {
          at: sign.at,
          length: own.at + own.length - sign.at,
        })
      i += 1
      own = next
      numbers.push({ operation: sign.text as Operation, number: numeralAt(own, true) })
    } else {
      if (!own)
        throw new Refusal(
          `The sign at place ${sign!.at + 1} has no number after it.`,
          'Write the number, or take the sign out.',
          sign,
        )
      const first = numbers.length === 0
      if (first && (sign?.text === '*' || sign?.text === '/'))
        throw new Refusal(`There is no number before the sign at place ${sign.at + 1}.`, 'Write it first.', sign)
      numbers.push({
        operation: first ? '+' : ((sign?.text ?? '+') as Operation),
        number: numeralAt(own, first && sign?.text === '-'),
      })
    }
    i += 1
  }
  if (numbers.length > MAX_NUMBERS)
    throw new Refusal(
      `That chain has ${numbers.length} numbers; up to ${MAX_NUMBERS} fit on a page.`,
      'Ask it in two parts.',
    )
  const [head, ...terms] = numbers
  const [other] = terms.filter((t) => t.operation === '*' || t.operation === '/')
  if (other && terms.length > 1)
    throw new Refusal('Multiplying and dividing stand alone here.', 'Ask one step, like 7 × 9 or 36 ÷ 9.')
  if (other?.operation === '/' && sign(valueOf(other.number)) === 0)
    throw new Refusal('Nothing can be divided by nought.', 'Divide by another number.')
  return { first: head!.number, terms }
}

/** The problem as plain text that `parseProblem` reads back to the same Problem. */
export function printProblem(problem: Problem): string {
  return [printNumeral(problem.first), ...problem.terms.map((t) => `${t.operation} ${printNumeral(t.number)}`)].join(
    ' ',
  )
}

/** Accepts a problem typed or already read. */
export const toProblem = (problem: Problem | string): Problem =>
  typeof problem === 'string' ? parseProblem(problem) : problem

/** The value reached after each number of the chain; the last is the answer. */
export function totals(problem: Problem): readonly Exact[] {
  const reached = [valueOf(problem.first)]
  for (const { operation, number } of problem.terms) reached.push(WORKED[operation](reached.at(-1)!, valueOf(number)))
  return reached
}

/** What each operation makes of two numbers. */
export const WORKED: Readonly<Record<Operation, (a: Exact, b: Exact) => Exact>> = {
  '+': add,
  '-': subtract,
  '*': multiply,
  '/': divide,
}

/** How many decimals the number with most of them has. */
export const decimalsIn = (problem: Problem): number =>
  decimalsOf([problem.first, ...problem.terms.map((t) => t.number)])

/** Whether a problem is a chain of adding and taking away. */
export const isChain = (problem: Problem): boolean =>
  problem.terms.every((t) => t.operation === '+' || t.operation === '-')

/** The exact answer. */
export const answer = (problem: Problem): Exact => totals(problem).at(-1) ?? exact(0)
