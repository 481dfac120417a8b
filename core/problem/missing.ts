import { Refusal, type Span } from '../refusal'
import { MAX_DIGITS } from '../number/numeral'

/** A number of which some digits are not known: `6?`, `1?4`. Digits are kept from the left, unknown ones as null. */
export interface Pattern {
  readonly digits: readonly (number | null)[]
  readonly decimals: number
}

/** A sum or difference with missing digits: `142 - 6? = 75`. */
export interface MissingProblem {
  readonly first: Pattern
  readonly terms: readonly { readonly operation: '+' | '-'; readonly number: Pattern }[]
  readonly result: Pattern
}

/** The most digits that may be missing at once, and the most solutions that are listed. */
export const MAX_MISSING = 6
export const MAX_SOLUTIONS = 2000
const MAX_TERMS = 8

const TOKEN = /\s*(?:([\d?▢□_]+(?:\.[\d?▢□_]+)?)|([+\-−–=]))/y

/**
 * Reads a problem with missing digits; `?`, `▢` or `_` stand for one digit each.
 * @throws Refusal with the place of the trouble.
 */
export function parseMissing(text: string): MissingProblem {
  const found: { number?: Pattern; sign?: string; span: Span }[] = []
  let at = 0
  while (at < text.trimEnd().length) {
    TOKEN.lastIndex = at
    const token = TOKEN.exec(text)
    if (!token) {
      at += text.slice(at).length - text.slice(at).trimStart().length
      throw new Refusal(
        `“${text[at]}” at place ${at + 1} is not part of such a problem.`,
        'Write digits, ? for a missing one, +, − and =, like 142 − 6? = 75.',
        { at, length: 1 },
      )
    }
    const end = TOKEN.lastIndex
    const span = { at, length: end - at }
    found.push(token[1] ? { number: patternOf(token[1], span), span } : { sign: token[2]!.replace(/[−–]/, '-'), span })
    at = end
  }
  const wrong = found.findIndex((t, i) => (i % 2 === 0) !== (t.number !== undefined))
  if (wrong >= 0 || found.length % 2 === 0)
    throw new Refusal(
      'Numbers and signs do not take turns here.',
      'Like: 142 − 6? = 75.',
      found[Math.max(0, wrong)]?.span,
    )
  const signs = found.filter((t) => t.sign !== undefined).map((t) => t.sign)
  if (signs.indexOf('=') !== signs.length - 1 || signs.length === 0)
    throw new Refusal('One “=” is needed, before the last number.', 'Like: 142 − 6? = 75.')
  if (signs.length < 2) throw new Refusal('There is nothing added or taken away.', 'Like: 142 − 6? = 75.')
  if (signs.length > MAX_TERMS) throw new Refusal(`Up to ${MAX_TERMS} numbers fit here.`)
  const numbers = found.flatMap((t) => (t.number ? [t.number] : []))
  const unknown = numbers.reduce((n, p) => n + p.digits.filter((d) => d === null).length, 0)
  if (unknown === 0) throw new Refusal('No digit is missing.', 'Write ? where one is.')
  if (unknown > MAX_MISSING)
    throw new Refusal(
      `${unknown} digits are missing; up to ${MAX_MISSING} can be found at once.`,
      'Write some of them in.',
    )
  return {
    first: numbers[0]!,
    terms: numbers.slice(1, -1).map((number, i) => ({ operation: signs[i] as '+' | '-', number })),
    result: numbers.at(-1)!,
  }
}

function patternOf(text: string, span: Span): Pattern {
  const [whole = '', decimals = ''] = text.split('.')
  const digits = [...(whole + decimals)].map((c) => (/\d/.test(c) ? Number(c) : null))
  if (digits.length > MAX_DIGITS) throw new Refusal(`A number here has at most ${MAX_DIGITS} digits.`, '', span)
  if (whole.length > 1 && digits[0] === 0) throw new Refusal('A number does not begin with a nought.', '', span)
  return { digits, decimals: decimals.length }
}

/** A pattern as text, with its unknown digits filled in or shown as boxes. */
export function printPattern(pattern: Pattern, fill?: readonly number[]): string {
  let k = 0
  const text = pattern.digits.map((d) => d ?? fill?.[k++] ?? '▢').join('')
  return pattern.decimals === 0 ? text : `${text.slice(0, -pattern.decimals)}.${text.slice(-pattern.decimals)}`
}

/** All numbers of a problem with their signs: the result counts against the others. */
export const numbersOf = (p: MissingProblem): readonly { readonly pattern: Pattern; readonly way: 1 | -1 }[] => [
  { pattern: p.first, way: 1 },
  ...p.terms.map((t) => ({ pattern: t.number, way: t.operation === '+' ? (1 as const) : (-1 as const) })),
  { pattern: p.result, way: -1 },
]

/** The problem as text, unknown digits as boxes or filled in from the left. */
export function printMissing(p: MissingProblem, fill?: readonly number[]): string {
  let used = 0
  const next = (pattern: Pattern): string => {
    const own = pattern.digits.filter((d) => d === null).length
    const text = printPattern(pattern, fill?.slice(used, used + own))
    used += own
    return text
  }
  return [next(p.first), ...p.terms.map((t) => `${t.operation} ${next(t.number)}`), '=', next(p.result)].join(' ')
}

/** One way to fill in the missing digits, from the left, and what each column carries to the next, lowest first. */
export interface Solution {
  readonly digits: readonly number[]
  readonly carries: readonly number[]
}

/** One column: what is known of it, and which unknown digits stand in it. */
interface Column {
  readonly known: number
  readonly unknown: readonly { readonly slot: number; readonly way: 1 | -1; readonly least: 0 | 1 }[]
}

/** The columns from the lowest up. A digit that leads a number of several is never nought. */
function columnsOf(p: MissingProblem): readonly Column[] {
  const decimals = Math.max(...numbersOf(p).map((n) => n.pattern.decimals))
  const columns: { known: number; unknown: { slot: number; way: 1 | -1; least: 0 | 1 }[] }[] = []
  let slot = 0
  for (const { pattern, way } of numbersOf(p))
    pattern.digits.forEach((digit, i) => {
      const column = pattern.digits.length - 1 - i + (decimals - pattern.decimals)
      while (columns.length <= column) columns.push({ known: 0, unknown: [] })
      if (digit !== null) columns[column]!.known += way * digit
      else {
        const leads = i === 0 && pattern.digits.length - pattern.decimals > 1
        columns[column]!.unknown.push({ slot: slot++, way, least: leads ? 1 : 0 })
      }
    })
  return columns
}

/** Every choice of digits for the unknowns of one column. */
function* fillings(column: Column): Generator<{ readonly sum: number; readonly digits: readonly number[] }> {
  const { unknown } = column
  const digits = unknown.map((u) => u.least as number)
  for (;;) {
    yield { sum: column.known + digits.reduce((s, d, i) => s + d * unknown[i]!.way, 0), digits: [...digits] }
    let i = digits.length - 1
    while (i >= 0 && digits[i] === 9) digits[i] = unknown[i--]!.least
    if (i < 0) return
    digits[i]! += 1
  }
}

/**
 * All ways to fill in the missing digits, by columns from the lowest up. First it is found which carries into each column can
 * still come out even at the top, so that the search never goes where there is nothing.
 */
export function solveMissing(p: MissingProblem): { readonly solutions: readonly Solution[]; readonly more: boolean } {
  const columns = columnsOf(p)
  const sums = columns.map((c) => [...fillings(c)])
  // lives[i]: the carries into column i from which the columns above can come out even.
  const lives: Set<number>[] = []
  lives[columns.length] = new Set([0])
  for (let i = columns.length - 1; i >= 0; i--) {
    lives[i] = new Set()
    for (const { sum } of sums[i]!) for (const out of lives[i + 1]!) lives[i]!.add(10 * out - sum)
  }
  const slots = columns.reduce((n, c) => n + c.unknown.length, 0)
  const solutions: Solution[] = []
  const digits = new Array<number>(slots).fill(0)
  const carries: number[] = []
  let more = false
  const search = (i: number, carry: number): void => {
    if (more) return
    if (i === columns.length) {
      if (solutions.length >= MAX_SOLUTIONS) more = true
      else solutions.push({ digits: [...digits], carries: [...carries] })
      return
    }
    for (const { sum, digits: own } of sums[i]!) {
      const total = sum + carry
      if (total % 10 !== 0 || !lives[i + 1]!.has(total / 10)) continue
      columns[i]!.unknown.forEach((u, k) => (digits[u.slot] = own[k]!))
      carries[i] = total / 10
      search(i + 1, total / 10)
    }
  }
  if (lives[0]!.has(0)) search(0, 0)
  return { solutions: solutions.sort((a, b) => compareDigits(a.digits, b.digits)), more }
}

function compareDigits(a: readonly number[], b: readonly number[]): number {
  const i = a.findIndex((d, k) => d !== b[k])
  return i < 0 ? 0 : a[i]! - b[i]!
}
