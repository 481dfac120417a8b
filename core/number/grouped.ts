/** What stands between thousands (practice, section 1: a classroom's own choice). */
export type Separator = 'comma' | 'thin' | 'none'

const SIGNS: Readonly<Record<Separator, string>> = { comma: ',', thin: '\u202f', none: '' }

/** A plain number with a separator after every third digit before the point: `20417.5` is `20,417.5`. */
export function grouped(text: string, separator: Separator): string {
  const [, sign = '', whole = '', rest = ''] = /^(-?)(\d+)(.*)$/.exec(text) ?? []
  return whole === '' ? text : `${sign}${whole.replace(/\B(?=(?:\d{3})+$)/g, SIGNS[separator])}${rest}`
}

/** Every number in a line with separators, from five digits on: `31+20417.5` is `31+20,417.5`; four are read without. */
export const groupedIn = (line: string, separator: Separator): string =>
  line.replace(/(?<![\d.])\d{5,}/g, (digits) => grouped(digits, separator))

/**
 * Numbers that stand one beneath another, so that places stay under places: all of them have separators, or none where none has five
 * digits.
 */
export function groupedAlike(column: readonly string[], separator: Separator): readonly string[] {
  const long = column.some((text) => /(?<![\d.])\d{5,}/.test(text))
  return long ? column.map((text) => grouped(text, separator)) : column
}
