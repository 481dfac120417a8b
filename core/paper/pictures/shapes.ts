import { NUMBERS_IN_PATH, type Look, type Mark, type PathMark, type Picture, text } from '../drawing'

/** What several pictures are drawn with. */

/** A piece: white, with a firm outline. */
export const PIECE: Look = { wide: 0.4, fill: 'wood' }
/** What is no longer there, or not yet. */
export const GHOST: Look = { stroke: 'grey', wide: 0.3, dash: [1, 1] }
export const SOFT: Look = { stroke: 'grey', wide: 0.2 }

/** A path turned by degrees about its own nought, made larger, and moved. */
export function placedPath(
  d: string,
  x: number,
  y: number,
  scale: number,
  degrees: number,
  look: Look,
  mirror = false,
): PathMark {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
  const v = (d.match(NUMBERS_IN_PATH) ?? []).map(Number)
  let i = 0
  const at = (k: number): string => {
    const [px, py] = [v[k - (k % 2)]!, v[k - (k % 2) + 1]!]
    const [tx, ty] = [px * c - py * s, px * s + py * c]
    return String(Math.round((k % 2 === 0 ? x + (mirror ? -tx : tx) * scale : y + ty * scale) * 1000) / 1000)
  }
  return { kind: 'path', d: d.replace(NUMBERS_IN_PATH, () => at(i++)), ...look }
}

/** Pictures under one another, with room between. */
export function stacked(pictures: readonly Picture[], gap: number): Picture {
  const marks: Mark[] = []
  let y = 0
  for (const p of pictures) {
    marks.push({ kind: 'group', x: 0, y, scale: 1, marks: p.marks })
    y += p.h + gap
  }
  return { w: Math.max(0, ...pictures.map((p) => p.w)), h: Math.max(0, y - gap), marks }
}

/** A picture with a caption over it. */
export const captioned = (caption: string, picture: Picture): Picture => ({
  w: Math.max(picture.w, caption.length * 2),
  h: picture.h + 5,
  marks: [text(0, 3.4, caption, 8), { kind: 'group', x: 0, y: 5, scale: 1, marks: picture.marks }],
})

export const NOTHING: Picture = { w: 30, h: 10, marks: [] }
