import { Refusal } from '../refusal'
import { add, exact, negate, type Exact } from './exact'

/**
 * How one exact number is written. `5/6` and `10/12` are two Numerals of one Exact, and so are `23.5` and `23.50`.
 * - `places`: digits with a point before the last `decimals` of them (`7.45` is digits `745`, decimals 2).
 * - `fraction`: an optional whole part, a numerator and a denominator, kept unreduced as written.
 */
export type Numeral =
  | { readonly form: 'places'; readonly negative: boolean; readonly digits: string; readonly decimals: number }
  | {
      readonly form: 'fraction'
      readonly negative: boolean
      readonly whole: string
      readonly numerator: string
      readonly denominator: string
    }

/** The most digits a number may have on any sheet here (practice: up to nine digits). */
export const MAX_DIGITS = 9

const PLACES = /^([-−]?)(\d{1,3}(?:[,\u2009\u202f]\d{3})+|\d+)(?:\.(\d+))?$/
const FRACTION = /^([-−]?)(?:(\d+) )?(\d+)\/(\d+)$/

/**
 * Reads a written number: `253`, `6,842`, `-4`, `7.45`, `5/6`, `1 2/3`.
 * @throws Refusal saying what is wrong, with the span inside `text`.
 */
export function parseNumeral(text: string): Numeral {
  const all = { at: 0, length: text.length }
  const longest = text.match(/\d[\d,]*/g)?.reduce((n, run) => Math.max(n, run.replace(/,/g, '').length), 0) ?? 0
  if (longest > MAX_DIGITS)
    throw new Refusal(
      `That number has ${longest} digits; Sett reads numbers of up to ${MAX_DIGITS}.`,
      'Choose a smaller number.',
      all,
    )
  const places = PLACES.exec(text)
  if (places) {
    const [, minus, whole = '', decimals = ''] = places
    const digits = whole.replace(/\D/g, '') + decimals
    if (digits.length > MAX_DIGITS)
      throw new Refusal(`That number has ${digits.length} digits; Sett reads up to ${MAX_DIGITS}.`, '', all)
    return { form: 'places', negative: minus !== '', digits, decimals: decimals.length }
  }
  const fraction = FRACTION.exec(text)
  if (fraction) {
    const [, minus, whole = '', numerator = '', denominator = ''] = fraction
    if (/^0+$/.test(denominator))
      throw new Refusal('A fraction cannot have nought below the line.', 'Write how many parts make the whole.', all)
    return { form: 'fraction', negative: minus !== '', whole, numerator, denominator }
  }
  throw new Refusal(`“${text.slice(0, 20)}” is not a number Sett can read.`, 'Write it in digits, like 52.', all)
}

/** The Numeral as plain text that `parseNumeral` reads back to the same Numeral. */
export function printNumeral(numeral: Numeral): string {
  const minus = numeral.negative ? '-' : ''
  if (numeral.form === 'fraction')
    return `${minus}${numeral.whole ? `${numeral.whole} ` : ''}${numeral.numerator}/${numeral.denominator}`
  const { digits, decimals } = numeral
  if (decimals === 0) return minus + digits
  return `${minus}${digits.slice(0, -decimals)}.${digits.slice(-decimals)}`
}

/** The exact number that a Numeral writes. */
export function valueOf(numeral: Numeral): Exact {
  const size =
    numeral.form === 'fraction'
      ? add(exact(numeral.whole || '0'), exact(`${numeral.numerator}/${numeral.denominator}`))
      : numeral.decimals === 0
        ? exact(numeral.digits.replace(/^0+(?=\d)/, ''))
        : exact(`${numeral.digits}/1${'0'.repeat(numeral.decimals)}`)
  return numeral.negative ? negate(size) : size
}

/** An Exact as one writes it: `253`, `7.45`; as a fraction in lowest terms where no decimal of nine places is equal to it. */
export function printExact(value: Exact): string {
  const [top = '', bottom] = value.split('/')
  if (bottom === undefined) return value
  const decimals = decimalsFor(bottom)
  if (decimals === undefined) return value
  const digits = String((BigInt(top) * 10n ** BigInt(decimals)) / BigInt(bottom))
    .replace('-', '')
    .padStart(decimals + 1, '0')
  return `${top.startsWith('-') ? '-' : ''}${digits.slice(0, -decimals)}.${digits.slice(-decimals)}`
}

/** How many places after the point a fraction in lowest terms has that stands over this; undefined where more than nine, or without end. */
function decimalsFor(bottom: string): number | undefined {
  // Over more than ten digits there are no nine places.
  if (bottom.length > 10) return undefined
  const under = Number(bottom)
  for (let places = 1; places <= 9; places++) if (10 ** places % under === 0) return places
  return undefined
}

/** A written number within a line, as a pattern: `-1 2/3`, `5/6`, `7.45`, `253`. */
export const WRITTEN = String.raw`-?(?:\d+ )?\d+\/\d+|-?\d+(?:\.\d+)?`

/** How many decimals the number with most of them has. */
export const decimalsOf = (numbers: readonly Numeral[]): number =>
  numbers.reduce((most, n) => Math.max(most, n.form === 'places' ? n.decimals : 0), 0)

/** The plainest Numeral of an Exact: digits where it is whole, a fraction in lowest terms elsewhere. */
export function numeralOf(value: Exact): Numeral {
  const negative = value.startsWith('-')
  const [top = '', denominator] = (negative ? value.slice(1) : value).split('/')
  return denominator === undefined
    ? { form: 'places', negative, digits: top, decimals: 0 }
    : { form: 'fraction', negative, whole: '', numerator: top, denominator }
}
