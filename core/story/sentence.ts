import { exact, sign, type Exact } from '../number/exact'
import { WORK, type Operation } from './situation'

/** Number sentences as learners write them: read, worked out, and compared with what a story tells. */

const TOKEN = /\s*(?:(\d+(?:[.,]\d+)?(?:\/\d+)?)|([?_]+)|([-+*/×÷·:−–]))/uy
const SIGNS: Readonly<Record<string, Operation>> = {
  '+': '+',
  '-': '-',
  '−': '-',
  '–': '-',
  '*': '*',
  '×': '*',
  '·': '*',
  '/': '/',
  '÷': '/',
  ':': '/',
}
/** The longest sentence that is read. */
export const MOST_SENTENCE = 60

type Token = { readonly number: Exact } | { readonly asked: true } | { readonly sign: Operation }

/** A number as it is typed: whole, decimal, or a fraction. Undefined where nothing can be divided so. */
function numberIn(text: string): Exact | undefined {
  const [top = '', under] = text.split('/')
  const [whole, decimals = ''] = top.split(/[.,]/)
  if (under !== undefined && (/^0+$/.test(under) || decimals !== '')) return undefined
  return under === undefined ? exact(`${whole}${decimals}/1${'0'.repeat(decimals.length)}`) : exact(`${whole}/${under}`)
}

function tokensIn(text: string): readonly Token[] | undefined {
  const tokens: Token[] = []
  TOKEN.lastIndex = 0
  while (TOKEN.lastIndex < text.trimEnd().length) {
    const m = TOKEN.exec(text)
    if (!m) return undefined
    const [, number, asked, operation] = m
    const read: Token | undefined = number
      ? (({ number: n }) => n && { number: n })({ number: numberIn(number) })
      : asked
        ? { asked: true }
        : { sign: SIGNS[operation!]! }
    if (!read) return undefined
    tokens.push(read)
  }
  return tokens
}

/** One side of a sentence, or a sum: its value, with what is asked put in, and the numbers that stand in it. */
interface Side {
  readonly value: Exact
  readonly numbers: readonly Exact[]
  readonly asked: number
}

/** Works a side out, products before sums. Undefined where it is none, or divides by nought. */
function sideOf(text: string, answer: Exact): Side | undefined {
  const tokens = tokensIn(text)
  if (!tokens || tokens.length === 0) return undefined
  const numbers: Exact[] = []
  let asked = 0
  let at = 0
  const amount = (): Exact | undefined => {
    const token = tokens[at]
    at += 1
    if (!token) return undefined
    // A number below nought has its sign before it.
    if ('sign' in token) {
      const size = token.sign === '-' ? amount() : undefined
      if (size === undefined) return undefined
      const last = numbers.pop()
      const below = WORK['-'](exact(0), size)
      if (last !== undefined) numbers.push(below)
      return below
    }
    if ('asked' in token) {
      asked += 1
      return answer
    }
    numbers.push(token.number)
    return token.number
  }
  const operation = (among: readonly Operation[]): Operation | undefined => {
    const token = tokens[at]
    if (!token || !('sign' in token) || !among.includes(token.sign)) return undefined
    at += 1
    return token.sign
  }
  const worked = (next: () => Exact | undefined, among: readonly Operation[]): Exact | undefined => {
    let value = next()
    for (let sign_ = operation(among); sign_ !== undefined && value !== undefined; sign_ = operation(among)) {
      const right = next()
      if (right === undefined || (sign_ === '/' && sign(right) === 0)) return undefined
      value = WORK[sign_](value, right)
    }
    return value
  }
  const value = worked(() => worked(amount, ['*', '/']), ['+', '-'])
  return value !== undefined && at === tokens.length ? { value, numbers, asked } : undefined
}

/** What a sum comes to: `15 - 8`; undefined where it is none. */
export const valueOfSum = (text: string): Exact | undefined => {
  const side = text.length > MOST_SENTENCE ? undefined : sideOf(text, exact(0))
  return side && side.asked === 0 ? side.value : undefined
}

/** A sentence with one sign of equality: whether it holds with the answer put in for what is asked, and the numbers that stand in it. */
export function sentenceIn(
  text: string,
  answer: Exact,
): { readonly holds: boolean; readonly numbers: readonly Exact[]; readonly asked: number } | undefined {
  const [left, right, ...more] = text.length > MOST_SENTENCE ? [] : text.split('=')
  if (left === undefined || right === undefined || more.length > 0) return undefined
  const [a, b] = [sideOf(left, answer), sideOf(right, answer)]
  return a && b && { holds: a.value === b.value, numbers: [...a.numbers, ...b.numbers], asked: a.asked + b.asked }
}
