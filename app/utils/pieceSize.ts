import type { Size } from '../../core/kit/index'

/** A piece's size as it is written: `10 × 10 × 100`, or `20 across, 3 thick`. */
export const sizeText = (size: Size): string =>
  'across' in size ? `${size.across} across, ${size.thick} thick` : size.join(' × ')

const inRange = (n: number): boolean => n >= 0.1 && n <= 2000

/** Reads a size, in millimetres; null where it is none. */
export function sizeIn(text: string): [number, number, number] | { across: number; thick: number } | null {
  const numbers = (text.match(/\d+(?:\.\d+)?/g) ?? []).map(Number)
  if (!numbers.every(inRange)) return null
  const [a, b, c] = numbers
  if (numbers.length === 3) return [a!, b!, c!]
  return numbers.length === 2 && /across|thick|ø/i.test(text) ? { across: a!, thick: b! } : null
}
