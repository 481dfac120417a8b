/**
 * What is drawn on paper, as data: every length in millimetres from the top left, every size of letters in points. One drawing is
 * written as SVG for the screen and as PDF for the printer, so what is seen before printing is what is printed.
 */

/** A point is 1/72 inch. */
export const POINT = 25.4 / 72

/** `wood` is the light tint of pieces: on a printer without colours it is a light grey. */
export type Ink = 'black' | 'grey' | 'pale' | 'wood' | 'white'
/** Everything on paper is set in one family, whose zeros have no stroke. */
export type Font = 'regular' | 'bold'
export type Anchor = 'start' | 'middle' | 'end'

/** How a line is drawn and a shape is filled; a thin black outline where nothing is said. */
export interface Look {
  readonly stroke?: Ink | 'none'
  /** How wide the line is. */
  readonly wide?: number
  readonly dash?: readonly number[]
  readonly fill?: Ink
}

/** A path in the commands M, L, C, Q and Z, all absolute. */
export interface PathMark extends Look {
  readonly kind: 'path'
  readonly d: string
}
export interface TextMark {
  readonly kind: 'text'
  readonly text: string
  /** Where its line stands, and which part of it stands there. */
  readonly x: number
  readonly y: number
  readonly size: number
  readonly font: Font
  readonly anchor: Anchor
}
/** Marks that are moved and made larger together. A `figure` is one thing to the touch, a `picture` one to the eye: not text to be read. */
export interface GroupMark {
  readonly kind: 'group'
  readonly x: number
  readonly y: number
  readonly scale: number
  readonly marks: readonly Mark[]
  readonly as?: 'figure' | 'picture'
}
export type Mark = PathMark | TextMark | GroupMark

/** A drawing with its size. */
export interface Picture {
  readonly w: number
  readonly h: number
  readonly marks: readonly Mark[]
}

const n = (value: number): string => String(Math.round(value * 1000) / 1000)

export const path = (d: string, look: Look = {}): PathMark => ({ kind: 'path', d, ...look })
export const line = (x1: number, y1: number, x2: number, y2: number, look: Look = {}): PathMark =>
  path(`M${n(x1)} ${n(y1)}L${n(x2)} ${n(y2)}`, look)
export const lines = (all: readonly (readonly [number, number, number, number])[], look: Look = {}): PathMark =>
  path(all.map(([x1, y1, x2, y2]) => `M${n(x1)} ${n(y1)}L${n(x2)} ${n(y2)}`).join(''), look)

/** A rectangle, its corners rounded where `round` is given. */
export function rect(x: number, y: number, w: number, h: number, look: Look = {}, round = 0): PathMark {
  const r = Math.min(round, w / 2, h / 2)
  if (r <= 0) return path(`M${n(x)} ${n(y)}L${n(x + w)} ${n(y)}L${n(x + w)} ${n(y + h)}L${n(x)} ${n(y + h)}Z`, look)
  const [right, bottom] = [x + w, y + h]
  return path(
    `M${n(x + r)} ${n(y)}L${n(right - r)} ${n(y)}Q${n(right)} ${n(y)} ${n(right)} ${n(y + r)}L${n(right)} ${n(bottom - r)}` +
      `Q${n(right)} ${n(bottom)} ${n(right - r)} ${n(bottom)}L${n(x + r)} ${n(bottom)}Q${n(x)} ${n(bottom)} ${n(x)} ${n(bottom - r)}` +
      `L${n(x)} ${n(y + r)}Q${n(x)} ${n(y)} ${n(x + r)} ${n(y)}Z`,
    look,
  )
}

/** How far the handles of a cubic curve stand off for a quarter of a circle of radius 1. */
const QUARTER = 0.5522847498

/** An ellipse; a circle where both radii are one. */
export function ellipse(cx: number, cy: number, rx: number, ry: number, look: Look = {}): PathMark {
  const [kx, ky] = [rx * QUARTER, ry * QUARTER]
  return path(
    `M${n(cx - rx)} ${n(cy)}C${n(cx - rx)} ${n(cy - ky)} ${n(cx - kx)} ${n(cy - ry)} ${n(cx)} ${n(cy - ry)}` +
      `C${n(cx + kx)} ${n(cy - ry)} ${n(cx + rx)} ${n(cy - ky)} ${n(cx + rx)} ${n(cy)}` +
      `C${n(cx + rx)} ${n(cy + ky)} ${n(cx + kx)} ${n(cy + ry)} ${n(cx)} ${n(cy + ry)}` +
      `C${n(cx - kx)} ${n(cy + ry)} ${n(cx - rx)} ${n(cy + ky)} ${n(cx - rx)} ${n(cy)}Z`,
    look,
  )
}
export const circle = (cx: number, cy: number, r: number, look: Look = {}): PathMark => ellipse(cx, cy, r, r, look)

export const text = (
  x: number,
  y: number,
  words: string,
  size: number,
  font: Font = 'regular',
  anchor: Anchor = 'start',
): TextMark => ({ kind: 'text', x, y, text: words, size, font, anchor })

export const moved = (marks: readonly Mark[], x: number, y: number, scale = 1, as?: GroupMark['as']): GroupMark => ({
  kind: 'group',
  x,
  y,
  scale,
  marks,
  ...(as ? { as } : {}),
})

/** A picture made as large as its room allows, but no larger than `most`, in the middle of it or at its left. */
export function fitted(
  picture: Picture,
  x: number,
  y: number,
  w: number,
  h: number,
  { most = 1, at = 'middle' }: { readonly most?: number; readonly at?: 'middle' | 'left' } = {},
): GroupMark {
  const scale = Math.min(most, w / Math.max(picture.w, 0.1), h / Math.max(picture.h, 0.1))
  const left = at === 'left' ? x : x + (w - picture.w * scale) / 2
  return moved(picture.marks, left, y + (h - picture.h * scale) / 2, scale, 'picture')
}

/** Straight lines at an angle across a rectangle, as one path: a texture. Angles are degrees from the x axis. */
export function hatched(x: number, y: number, w: number, h: number, angle: number, gap: number, look: Look): PathMark {
  const [dx, dy] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)]
  const half = Math.hypot(w, h) / 2
  const found: (readonly [number, number, number, number])[] = []
  for (let k = -Math.floor(half / gap); k <= half / gap; k++) {
    const [px, py] = [x + w / 2 - dy * k * gap, y + h / 2 + dx * k * gap]
    const cut = clipped(px, py, dx, dy, x, y, x + w, y + h)
    if (cut) found.push(cut)
  }
  return lines(found, look)
}

/** The part of a line through a point that lies in a box; undefined where it passes it by. */
function clipped(px: number, py: number, dx: number, dy: number, x1: number, y1: number, x2: number, y2: number) {
  let [from, to] = [-Infinity, Infinity]
  for (const [p, d, low, high] of [
    [px, dx, x1, x2],
    [py, dy, y1, y2],
  ] as const) {
    if (Math.abs(d) < 1e-9) {
      if (p < low || p > high) return undefined
      continue
    }
    const [a, b] = [(low - p) / d, (high - p) / d]
    from = Math.max(from, Math.min(a, b))
    to = Math.min(to, Math.max(a, b))
  }
  return to - from > 0.2 ? ([px + dx * from, py + dy * from, px + dx * to, py + dy * to] as const) : undefined
}

/** Every mark where it stands on the sheet, with how much larger it is drawn, and which figure it belongs to (0 for none). */
export function* placedMarks(
  marks: readonly Mark[],
): Generator<{ mark: PathMark | TextMark; x: number; y: number; scale: number; figure: number; picture: boolean }> {
  let figures = 0
  function* walk(
    all: readonly Mark[],
    x: number,
    y: number,
    scale: number,
    figure: number,
    picture: boolean,
  ): ReturnType<typeof placedMarks> {
    for (const mark of all)
      if (mark.kind === 'group') {
        const own = mark.as === 'figure' && figure === 0 ? ++figures : figure
        const seen = picture || mark.as === 'picture'
        yield* walk(mark.marks, x + mark.x * scale, y + mark.y * scale, scale * mark.scale, own, seen)
      } else yield { mark, x, y, scale, figure, picture }
  }
  yield* walk(marks, 0, 0, 1, 0, false)
}

/** Every number of a path, in turn: x, y, x, y. */
export const NUMBERS_IN_PATH = /-?\d+(?:\.\d+)?/g

/** The strokes of a path as points close enough together to be measured; each list is one stroke. */
export function strokesOf(d: string): readonly (readonly (readonly [number, number])[])[] {
  const strokes: [number, number][][] = []
  for (const [, command, args] of d.matchAll(/([MLCQZ])([^MLCQZ]*)/g)) {
    const v = (args!.match(NUMBERS_IN_PATH) ?? []).map(Number)
    const stroke = strokes.at(-1)
    if (command === 'M') strokes.push([[v[0]!, v[1]!]])
    else if (command === 'L') stroke!.push([v[0]!, v[1]!])
    else if (command === 'Z') stroke!.push([...stroke![0]!])
    else {
      const [x0, y0] = stroke!.at(-1)!
      const cubic = command === 'C'
      for (let i = 1; i <= 12; i++) {
        const t = i / 12
        const u = 1 - t
        stroke!.push(
          cubic
            ? [
                u ** 3 * x0 + 3 * u * u * t * v[0]! + 3 * u * t * t * v[2]! + t ** 3 * v[4]!,
                u ** 3 * y0 + 3 * u * u * t * v[1]! + 3 * u * t * t * v[3]! + t ** 3 * v[5]!,
              ]
            : [u * u * x0 + 2 * u * t * v[0]! + t * t * v[2]!, u * u * y0 + 2 * u * t * v[1]! + t * t * v[3]!],
        )
      }
    }
  }
  return strokes
}
