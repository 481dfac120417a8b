import { exact, pieceName, PARTS } from '../../core/door'

/** What drawings and buttons need of equal parts. */

/** What so many parts of a whole cut into `of` are called: “eighths”; of 1, “wholes”. */
export const partName = (of: number, count: number): string =>
  pieceName(of === 1 ? exact(1) : exact(`1/${of}`), count, PARTS)

/** A mark of a line in equal parts, as so many of them with the wholes before: `5/8`, `1 2/8`, `-3/4`. */
export function partsText(n: number, parts: number): string {
  const k = Math.round(Math.abs(n) * parts)
  const [whole, top] = [Math.floor(k / parts), k % parts]
  if (k === 0) return '0'
  const size = top === 0 ? String(whole) : `${whole > 0 ? `${whole} ` : ''}${top}/${parts}`
  return n < 0 ? `-${size}` : size
}
