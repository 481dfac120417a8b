/** A point of a numeral's box, 100 wide and 140 high, from the top left. */
export interface Point {
  readonly x: number
  readonly y: number
}

/** A stroke: where the pen is put down, then straight lines (2 numbers) or cubic curves (6 numbers) to the next points. */
export interface Stroke {
  readonly from: Point
  readonly to: readonly (readonly number[])[]
}

const stroke = (x: number, y: number, ...to: (readonly number[])[]): Stroke => ({ from: { x, y }, to })

/** How the numerals are written, stroke by stroke, as a hand writes them. Drawn for Sett. */
export const PEN_PATHS: Readonly<Record<number, readonly Stroke[]>> = {
  0: [stroke(50, 10, [8, 10, 8, 130, 50, 130], [92, 130, 92, 10, 50, 10])],
  1: [stroke(50, 10, [50, 130])],
  2: [stroke(18, 42, [20, 2, 84, 2, 80, 46], [78, 76, 34, 98, 16, 130], [86, 130])],
  3: [
    stroke(
      20,
      28,
      [34, 0, 84, 4, 79, 38],
      [76, 58, 58, 65, 42, 65],
      [72, 65, 90, 80, 84, 104],
      [76, 140, 26, 138, 14, 112],
    ),
  ],
  4: [stroke(60, 10, [12, 92], [88, 92]), stroke(66, 58, [66, 130])],
  5: [stroke(30, 12, [25, 62], [46, 46, 86, 52, 83, 92], [80, 138, 28, 138, 15, 112]), stroke(30, 12, [80, 12])],
  6: [stroke(72, 12, [38, 30, 15, 68, 18, 98], [21, 141, 84, 141, 82, 97], [80, 58, 30, 60, 19, 90])],
  7: [stroke(16, 12, [84, 12], [42, 130])],
  8: [
    stroke(
      76,
      30,
      [64, 0, 16, 6, 24, 42],
      [29, 66, 79, 70, 81, 103],
      [83, 141, 15, 141, 19, 103],
      [22, 72, 72, 64, 77, 40],
      [78, 36, 78, 34, 76, 30],
    ),
  ],
  9: [stroke(80, 44, [80, 0, 18, 0, 18, 44], [18, 86, 76, 84, 80, 44], [79, 80, 78, 100, 76, 130])],
}

/** The stroke as an SVG path. */
export const svgOf = ({ from, to }: Stroke): string =>
  `M${from.x} ${from.y}${to.map((p) => (p.length === 2 ? `L${p.join(' ')}` : `C${p.join(' ')}`)).join('')}`

/** How finely curves are walked. */
const STEPS = 64

/** The points of a stroke, close enough together to be walked in straight lines. */
export function walk({ from, to }: Stroke): readonly Point[] {
  const points = [from]
  for (const piece of to) {
    const a = points.at(-1)!
    if (piece.length === 2) points.push({ x: piece[0]!, y: piece[1]! })
    else
      for (let i = 1; i <= STEPS; i++) {
        const [t, u] = [i / STEPS, 1 - i / STEPS]
        const at = (p0: number, p1: number, p2: number, p3: number): number =>
          u ** 3 * p0 + 3 * u * u * t * p1 + 3 * u * t * t * p2 + t ** 3 * p3
        points.push({ x: at(a.x, piece[0]!, piece[2]!, piece[4]!), y: at(a.y, piece[1]!, piece[3]!, piece[5]!) })
      }
  }
  return points
}
