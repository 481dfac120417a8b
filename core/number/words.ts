import { parts, type Exact } from './exact'
import { printExact } from './numeral'

const SMALL = (
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen ' +
  'fifteen sixteen seventeen eighteen nineteen'
).split(' ')
const TENS = '- - twenty thirty forty fifty sixty seventy eighty ninety'.split(' ')
const SCALES: readonly (readonly [bigint, string])[] = [
  [1_000_000_000n, 'billion'],
  [1_000_000n, 'million'],
  [1_000n, 'thousand'],
]

/** The number names of another language than English. */
export interface OwnNames {
  /** A whole number that is not negative. */
  whole(n: bigint): string
  /** It before a noun, where it is shorter then: “un octavo”, not “uno octavo”. */
  counting(n: bigint): string
  /** One of so many equal parts, or (`many`) several. */
  part(denominator: bigint, many: boolean): string
  /** The word before the decimals. */
  readonly point: string
}

export interface NumberWords {
  /** British number names put *and* before the tens and ones (three hundred and four); American ones do not. */
  readonly and: boolean
  /** What nought is called: `nought` or `zero`. */
  readonly zero: string
  /** How a number below nought begins: “negative three” or “minus three”. */
  readonly negative: string
  /** What one of four equal parts is called: `quarter` or `fourth`. */
  readonly fourth: string
  /** The names of another language, in place of the English ones. */
  readonly own?: OwnNames
}

export const BRITISH: NumberWords = { and: true, zero: 'nought', negative: 'negative', fourth: 'quarter' }
export const AMERICAN: NumberWords = { and: false, zero: 'zero', negative: 'negative', fourth: 'fourth' }

function belowHundred(n: number): string {
  if (n < 20) return SMALL[n]!
  const tens = TENS[Math.floor(n / 10)]!
  return n % 10 ? `${tens}-${SMALL[n % 10]}` : tens
}

function belowThousand(n: number, and: boolean): string {
  const hundreds = Math.floor(n / 100)
  const rest = n % 100
  if (!hundreds) return belowHundred(rest)
  const head = `${SMALL[hundreds]} hundred`
  return rest ? `${head} ${and ? 'and ' : ''}${belowHundred(rest)}` : head
}

function whole(n: bigint, style: NumberWords): string {
  if (style.own) return style.own.whole(n)
  if (n === 0n) return style.zero
  const said: string[] = []
  let rest = n
  for (const [scale, name] of SCALES) {
    const group = Number(rest / scale)
    if (group) said.push(`${belowThousand(group, style.and)} ${name}`)
    rest %= scale
  }
  if (rest > 0n) {
    // 1,004 is "one thousand and four" where "and" is said at all.
    const bare = style.and && said.length > 0 && rest < 100n
    said.push((bare ? 'and ' : '') + belowThousand(Number(rest), style.and))
  }
  return said.join(' ')
}

/** A number that is not negative, before what is counted. */
export const countingName = (n: bigint, style: NumberWords): string => style.own?.counting(n) ?? whole(n, style)

/** The last words of number names that do not simply take -th. */
const ORDINAL: Readonly<Record<string, string>> = {
  one: 'first',
  two: 'second',
  three: 'third',
  five: 'fifth',
  eight: 'eighth',
  nine: 'ninth',
  twelve: 'twelfth',
}

/** What one of so many equal parts is called, or (`many`) several: “eighth”, “eighths”, “twenty-firsts”, “hundredths”. */
export function partsName(denominator: bigint, style: NumberWords, many: boolean): string {
  if (style.own) return style.own.part(denominator, many)
  if (denominator === 2n) return many ? 'halves' : 'half'
  const name = denominator === 4n ? style.fourth : ordinalOf(whole(denominator, style))
  return many ? `${name}s` : name
}

/** The ordinal of a number name: “hundredth”, where nothing comes before it, and “one hundred and first”. */
function ordinalOf(cardinal: string): string {
  const name = cardinal.replace(/^one (hundred|thousand|million|billion)$/, '$1')
  const [, before = '', last = name] = /^(.*[ -])?([a-z]+)$/.exec(name) ?? []
  return before + (ORDINAL[last] ?? `${last.replace(/y$/, 'ie')}th`)
}

/** A number in words, its decimals one by one: “seven point four five”. Whole numbers and other fractions as `inWords` has them. */
export function decimalInWords(value: Exact, style: NumberWords = BRITISH): string {
  const [ones, decimals] = printExact(value).split('.')
  if (decimals === undefined) return inWords(value, style)
  const digits = [...decimals].map((d) => whole(BigInt(d), style))
  const said = whole(BigInt(ones!.replace('-', '')), style)
  return `${value.startsWith('-') ? `${style.negative} ` : ''}${said} ${style.own?.point ?? 'point'} ${digits.join(' ')}`
}

/** A number in words, to 999,999,999,999: “three hundred and four”, “negative four”, “five sixths”. */
export function inWords(value: Exact, style: NumberWords = BRITISH): string {
  const { numerator, denominator } = parts(value)
  const size = numerator < 0n ? -numerator : numerator
  if (size > 999_999_999_999n) throw new Error(`${value} is beyond the number names Sett knows`)
  const named =
    denominator === 1n
      ? whole(size, style)
      : `${countingName(size, style)} ${partsName(denominator, style, size !== 1n)}`
  return numerator < 0n ? `${style.negative} ${named}` : named
}

/** A sentence begins with a capital letter. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

const PLURAL = new Intl.PluralRules('en-GB')

/** One of a thing, or several: the form of its name for so many. */
export const formOf = (count: number, [one, several]: readonly [string, string]): string =>
  PLURAL.select(Math.abs(count)) === 'one' ? one : several
