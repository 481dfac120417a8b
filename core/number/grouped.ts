/** What stands between thousands (practice, section 1: a classroom's own choice). */
export type Separator = 'comma' | 'thin' | 'none'

const SIGNS: Readonly<Record<Separator, string>> = { comma: ',', thin: '\u202f', none: '' }

/** A plain number with a separator after every third digit before the point: `20417.5` is `20,417.5`. */
export function grouped(text: string, separator: Separator): string {
  const [, sign = '', whole = '', rest = ''] = /^(-?)(\d+)(.*)$/.exec(text) ?? []
  return whole === '' ? text : `${sign}${whole.replace(/\B(?=(?:\d{3})+$)/g, SIGNS[separator])}${rest}`
}
