/** Letters and digits for codes that people read and type: none is taken for another in handwriting, so there is no I, L, O, U. */
export const SIGNS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ'

/** The sign that checks others: the sum by their places, so that one wrong sign, or two that changed places, are noticed. `from` tells one sort of code from another. */
export const checkSign = (signs: string, from: number): string =>
  SIGNS[Array.from(signs).reduce((sum, c, i) => sum + SIGNS.indexOf(c) * (2 * i + 1), from) % SIGNS.length]!

/** Forty bits as eight signs with their check sign, `7KQ2-M0XD-4`. */
export function spelt(bits: bigint, from: number): string {
  const signs = Array.from({ length: 8 }, (_, i) => SIGNS[Number((bits >> BigInt(5 * (7 - i))) & 31n)]!).join('')
  return `${signs.slice(0, 4)}-${signs.slice(4)}-${checkSign(signs, from)}`
}

/** The nine signs of a code as it was typed, letters that look alike taken for each other; undefined where it has other ones, or not nine. */
export function signsIn(typed: string): string | undefined {
  const plain = typed.toUpperCase().replace(/[\s-]/g, '').replace(/O/g, '0').replace(/[IL]/g, '1')
  return /^[0-9A-HJKMNP-TV-Z]{9}$/.test(plain) ? plain : undefined
}
