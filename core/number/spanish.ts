import type { OwnNames } from './words'

/**
 * Spanish number names, to 999,999,999,999, after the Ortografía de la lengua española (from memory): one word up to thirty, “y”
 * between tens and ones only, the long scale (mil millones), and a shorter “uno” before a noun.
 */

const SMALL = (
  'cero uno dos tres cuatro cinco seis siete ocho nueve diez once doce trece catorce quince dieciséis diecisiete dieciocho ' +
  'diecinueve veinte veintiuno veintidós veintitrés veinticuatro veinticinco veintiséis veintisiete veintiocho veintinueve'
).split(' ')
const TENS = '- - - treinta cuarenta cincuenta sesenta setenta ochenta noventa'.split(' ')
const HUNDREDS =
  '- ciento doscientos trescientos cuatrocientos quinientos seiscientos setecientos ochocientos novecientos'.split(' ')

export type Gender = 'masculine' | 'feminine'

function belowHundred(n: number): string {
  if (n < 30) return SMALL[n]!
  const tens = TENS[Math.floor(n / 10)]!
  return n % 10 ? `${tens} y ${SMALL[n % 10]}` : tens
}
function belowThousand(n: number): string {
  if (n === 100) return 'cien'
  const hundreds = Math.floor(n / 100)
  if (hundreds === 0) return belowHundred(n)
  return n % 100 ? `${HUNDREDS[hundreds]} ${belowHundred(n % 100)}` : HUNDREDS[hundreds]!
}
function belowMillion(n: number): string {
  const thousands = Math.floor(n / 1000)
  if (thousands === 0) return belowThousand(n)
  const head = thousands === 1 ? 'mil' : `${shortened(belowThousand(thousands))} mil`
  return n % 1000 ? `${head} ${belowThousand(n % 1000)}` : head
}
/** A number before a masculine noun: “un”, “veintiún”, “treinta y un”. */
const shortened = (name: string): string => name.replace(/veintiuno$/, 'veintiún').replace(/\buno$/, 'un')

/** A whole number that is not negative: “cincuenta y dos”. */
export function wholeInSpanish(n: bigint): string {
  const [millions, rest] = [Number(n / 1_000_000n), Number(n % 1_000_000n)]
  if (millions === 0) return belowMillion(rest)
  const head = millions === 1 ? 'un millón' : `${shortened(belowMillion(millions))} millones`
  return rest ? `${head} ${belowMillion(rest)}` : head
}

/** A number before a noun: “una decena”, “veintiún millares”, “doscientas unidades”. */
export function beforeNoun(n: bigint, gender: Gender): string {
  const name = wholeInSpanish(n)
  return gender === 'masculine' ? shortened(name) : name.replace(/uno$/, 'una').replace(/(cient|quinient)os/g, '$1as')
}

const PARTS: Readonly<Record<string, string>> = {
  2: 'medio',
  3: 'tercio',
  4: 'cuarto',
  5: 'quinto',
  6: 'sexto',
  7: 'séptimo',
  8: 'octavo',
  9: 'noveno',
  10: 'décimo',
  100: 'centésimo',
  1000: 'milésimo',
}
/** What one of so many equal parts is called, or (`many`) several: “octavo”, “quintos”, “doceavos”. */
function partInSpanish(denominator: bigint, many: boolean): string {
  const name =
    PARTS[String(denominator)] ?? `${wholeInSpanish(denominator).replaceAll(' ', '').replace(/[ao]$/, '')}avo`
  return many ? `${name}s` : name
}

export const SPANISH_NAMES: OwnNames = {
  whole: wholeInSpanish,
  counting: (n) => shortened(wholeInSpanish(n)),
  part: partInSpanish,
  point: 'coma',
}
