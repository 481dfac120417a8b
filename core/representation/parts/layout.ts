import { asNumber } from '../../number/exact'
import { cutOf } from '../../number/fractions'
import type { Pieces } from '../../number/units'

/** Where strips lie on their mat, in pixels: everything at one scale, every amount begun at the same edge. Pure. */

export interface Bar {
  readonly row: string
  /** Into how many parts the whole is cut of which this is one: 1 is the whole itself. */
  readonly of: number
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}
export interface Band {
  readonly row: string
  readonly y: number
  readonly height: number
  /** The wholes under the parts, as outlines: where each begins, and how long it is. */
  readonly outlines: readonly {
    readonly x: number
    readonly y: number
    readonly width: number
    readonly height: number
  }[]
}
export interface StripsLayout {
  readonly bars: readonly Bar[]
  readonly bands: readonly Band[]
  readonly unit: number
  readonly height: number
}
export interface StripsRow {
  readonly row: string
  readonly pieces: readonly Pieces[]
}

const [GAP, BETWEEN, LEAST, MOST] = [4, 16, 22, 104]
/** As many wholes of parts as lie end to end before a new line begins. */
const LONGEST = 4

const wholesOf = (pieces: readonly Pieces[]): number => pieces.find((p) => p.unit === '1')?.count ?? 0
const partsLength = (pieces: readonly Pieces[]): number =>
  pieces.filter((p) => p.unit !== '1').reduce((n, p) => n + p.count * asNumber(p.unit), 0)

/** The parts of an amount, one after another, in lines of so many wholes: how far along each begins, and in which line. */
function runs(
  pieces: readonly Pieces[],
  span: number,
): readonly { readonly of: number; readonly at: number; readonly line: number }[] {
  const found: { of: number; at: number; line: number }[] = []
  let [at, line] = [0, 0]
  for (const { count, unit } of pieces) {
    if (unit === '1') continue
    const size = asNumber(unit)
    for (let i = 0; i < count; i++) {
      if (at + size > span + 1e-9) [at, line] = [0, line + 1]
      found.push({ of: cutOf(unit), at, line })
      at += size
    }
  }
  return found
}

/** Lays rows of wholes and parts under one another; `scale` is how long the whole is, as a share of the room. */
export function layStrips(rows: readonly StripsRow[], width: number, height: number, scale = 1): StripsLayout {
  const most = Math.max(0, ...rows.map((r) => wholesOf(r.pieces)))
  const abreast = most > 5 ? Math.ceil(most / 5) : 1
  const longest = Math.max(1, ...rows.map((r) => partsLength(r.pieces)))
  const span = Math.max(abreast, Math.min(LONGEST, Math.ceil(longest - 1e-9)))
  const unit = (Math.max(60, width) * scale) / span
  const laid = rows.map((r) => {
    const wholes = wholesOf(r.pieces)
    const parts = runs(r.pieces, span)
    const wholeLines = Math.ceil(wholes / abreast)
    const partLines = parts.length > 0 ? parts.at(-1)!.line + 1 : wholes === 0 ? 1 : 0
    return { ...r, wholes, parts, wholeLines, lines: wholeLines + partLines, partLines }
  })
  const lines = laid.reduce((n, r) => n + r.lines, 0)
  const room = height - BETWEEN * (rows.length + 1) - GAP * lines
  const thick = Math.max(LEAST, Math.min(MOST, room / Math.max(1, lines)))
  const bars: Bar[] = []
  const bands: Band[] = []
  let y = BETWEEN
  for (const r of laid) {
    const top = y
    const outlines: Band['outlines'][number][] = []
    for (let i = 0; i < r.wholes; i++)
      bars.push({
        row: r.row,
        of: 1,
        x: (i % abreast) * unit,
        y: top + Math.floor(i / abreast) * (thick + GAP),
        width: unit,
        height: thick,
      })
    const partsTop = top + r.wholeLines * (thick + GAP)
    for (let line = 0; line < r.partLines; line++) {
      const end = Math.max(0, ...r.parts.filter((p) => p.line === line).map((p) => p.at + 1 / p.of))
      for (let i = 0; i < Math.max(1, Math.ceil(end - 1e-9)); i++)
        outlines.push({ x: i * unit, y: partsTop + line * (thick + GAP), width: unit, height: thick })
    }
    for (const p of r.parts)
      bars.push({
        row: r.row,
        of: p.of,
        x: p.at * unit,
        y: partsTop + p.line * (thick + GAP),
        width: unit / p.of,
        height: thick,
      })
    y = top + r.lines * (thick + GAP)
    bands.push({ row: r.row, y: top, height: y - top, outlines })
    y += BETWEEN
  }
  return { bars, bands, unit, height: Math.max(height, y) }
}

/** Hatching that tells parts apart besides their length: which way the lines go, how far apart, or dots. */
export function hatchOf(of: number): { readonly angle: number; readonly gap: number; readonly dots: boolean } {
  return { angle: [45, 135, 90, 0, 65, 155][of % 6]!, gap: 6 + ((of * 5) % 7), dots: of % 5 === 4 }
}
