import { placedMarks, strokesOf, type Mark } from './drawing'

/**
 * Rules for what is felt: everything black on white, no line thinner than a millimetre, nothing nearer than 5 mm to anything that is not
 * part of the same figure, no printed letters. After the Guidelines and Standards for Tactile Graphics of the Braille Authority of North
 * America, from memory; the 5 mm are our own, between its 3 mm and 6 mm.
 */
export const LEAST_APART = 5
export const LEAST_LINE = 0.75

interface Felt {
  readonly figure: number
  /** Straight pieces of its lines, with half of how wide they are drawn. */
  readonly pieces: readonly (readonly [number, number, number, number])[]
  readonly half: number
  readonly box: Box
}

/** The distance of two straight pieces. */
function between(a: readonly [number, number, number, number], b: readonly [number, number, number, number]): number {
  const [ax1, ay1, ax2, ay2] = a
  const [bx1, by1, bx2, by2] = b
  const cross = (ox: number, oy: number, px: number, py: number, qx: number, qy: number): number =>
    (px - ox) * (qy - oy) - (py - oy) * (qx - ox)
  const d1 = cross(bx1, by1, bx2, by2, ax1, ay1)
  const d2 = cross(bx1, by1, bx2, by2, ax2, ay2)
  const d3 = cross(ax1, ay1, ax2, ay2, bx1, by1)
  const d4 = cross(ax1, ay1, ax2, ay2, bx2, by2)
  if (d1 * d2 < 0 && d3 * d4 < 0) return 0
  return Math.min(toPiece(ax1, ay1, b), toPiece(ax2, ay2, b), toPiece(bx1, by1, a), toPiece(bx2, by2, a))
}
function toPiece(px: number, py: number, [x1, y1, x2, y2]: readonly [number, number, number, number]): number {
  const [dx, dy] = [x2 - x1, y2 - y1]
  const length = dx * dx + dy * dy
  const t = length === 0 ? 0 : Math.max(0, Math.min(1, ((px - x1) * dx + (py - y1) * dy) / length))
  return Math.hypot(px - x1 - t * dx, py - y1 - t * dy)
}

type Box = readonly [number, number, number, number]
const around = (a: Box, b: Box): Box => [
  Math.min(a[0], b[0]),
  Math.min(a[1], b[1]),
  Math.max(a[2], b[2]),
  Math.max(a[3], b[3]),
]
const boxesApart = (a: Box, b: Box): number => Math.max(a[0] - b[2], b[0] - a[2], a[1] - b[3], b[1] - a[3])

/** What on a sheet fingers may not be able to tell apart, in words; nothing where all is well. */
export function tactileTroubles(marks: readonly Mark[]): readonly string[] {
  const troubles = new Set<string>()
  const felt: Felt[] = []
  let alone = -1
  for (const { mark, x, y, scale, figure, picture } of placedMarks(marks)) {
    // The squares of a QR code are for a camera; they lie apart, at the foot.
    if (
      picture &&
      figure > 0 &&
      mark.kind === 'path' &&
      mark.stroke === 'none' &&
      mark.fill === 'black' &&
      mark.d.length > 2000
    )
      continue
    if (mark.kind === 'text') {
      troubles.add('letters are printed that cannot be felt')
      continue
    }
    const { stroke = 'black', wide = 0.3, fill } = mark
    if (stroke === 'grey' || stroke === 'pale' || fill === 'grey' || fill === 'pale')
      troubles.add('grey does not swell')
    if (stroke === 'black' && wide * scale < LEAST_LINE - 0.01) troubles.add(`a line is thinner than ${LEAST_LINE} mm`)
    const pieces = strokesOf(mark.d).flatMap((points) =>
      points.slice(1).map(([px, py], i) => {
        const [qx, qy] = points[i]!
        return [x + qx * scale, y + qy * scale, x + px * scale, y + py * scale] as const
      }),
    )
    if (pieces.length === 0) continue
    const half = stroke === 'none' ? 0 : (wide * scale) / 2
    const xs = pieces.flatMap((p) => [p[0], p[2]])
    const ys = pieces.flatMap((p) => [p[1], p[3]])
    felt.push({
      figure: figure || alone--,
      pieces,
      half,
      box: [Math.min(...xs) - half, Math.min(...ys) - half, Math.max(...xs) + half, Math.max(...ys) + half],
    })
  }
  if (tooNear(felt)) troubles.add(`two things are less than ${LEAST_APART} mm apart`)
  return [...troubles]
}

/** Whether marks of two figures are too near: first by the boxes of whole figures, then mark by mark. */
function tooNear(felt: readonly Felt[]): boolean {
  const of = new Map<number, Felt[]>()
  for (const f of felt) {
    const own = of.get(f.figure)
    if (own) own.push(f)
    else of.set(f.figure, [f])
  }
  const figures = [...of.values()].map((own) => ({ own, box: own.map((f) => f.box).reduce(around) }))
  return figures.some((a, i) =>
    figures
      .slice(i + 1)
      .some(
        (b) =>
          boxesApart(a.box, b.box) < LEAST_APART &&
          a.own.some((p) =>
            b.own.some(
              (q) =>
                boxesApart(p.box, q.box) < LEAST_APART &&
                Math.min(...p.pieces.flatMap((x) => q.pieces.map((y) => between(x, y)))) - p.half - q.half <
                  LEAST_APART - 0.01,
            ),
          ),
      ),
  )
}
