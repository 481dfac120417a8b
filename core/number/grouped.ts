/** What stands between thousands (practice, section 1: a classroom's own choice). */
export type Separator = 'comma' | 'thin' | 'none'

const SIGNS: Readonly<Record<Separator, string>> = { comma: ',', thin: '\u202f', none: '' }

/** A plain number with a separator after every third digit before the point: `20417.5` is `20,417.5`. */
export function grouped(text: string, separator: Separator): string {
  const [, sign = '', whole = '', rest = ''] = /^(-?)(\d+)(.*)$/.exec(text) ?? []
  return whole === '' ? text : `${sign}${whole.replace(/\B(?=(?:\d{3})+$)/g, SIGNS[separator])}${rest}`
}

/**
 * From how many digits on a number has separators: four with a comma, as is usual in English; five with a thin space (ISO 80000-1
 * leaves numbers of four digits together where they stand alone; from memory).
 */
const FROM: Readonly<Record<Separator, number>> = { comma: 4, thin: 5, none: Infinity }
const wholes = (least: number): RegExp => new RegExp(`(?<![\\d.])\\d{${least},}`, 'g')

/** Every number in a line with separators: `31 + 20417.5` is `31 + 20,417.5`. What comes after a point has none. */
export const groupedIn = (line: string, separator: Separator): string =>
  separator === 'none' ? line : line.replace(wholes(FROM[separator]), (digits) => grouped(digits, separator))

/** Numbers that stand one beneath another: where one has separators all have them, so that places stay under places. */
export const groupedAlike = (column: readonly string[], separator: Separator): readonly string[] =>
  column.some((text) => groupedIn(text, separator) !== text) ? column.map((text) => grouped(text, separator)) : column
