import { braille, brailleWidth } from './braille'
import { circle, hatched, moved, path, text, type Anchor, type Font, type Look, type Mark } from './drawing'
import { bold, thin, type Setting } from './setting'

/** Marks that are drawn otherwise where they are to be felt: labels, outlines, fillings. */

export const outline = (s: Setting): Look => ({ wide: bold(s) })
export const inner = (s: Setting): Look => ({ wide: thin(s) })

/** A label that stands on a line: letters, or braille above it. */
export function label(
  s: Setting,
  x: number,
  y: number,
  words: string,
  size: number,
  anchor: Anchor = 'middle',
  font: Font = 'regular',
): Mark {
  if (!s.tactile) return text(x, y, words, size, font, anchor)
  const w = brailleWidth(words)
  const left = anchor === 'start' ? x : anchor === 'end' ? x - w : x - w / 2
  return braille(words, left, y - 6.5)
}

/** Marks that belong together to a finger. */
export const figure = (marks: readonly Mark[], x = 0, y = 0): Mark => moved(marks, x, y, 1, 'figure')

/** Textures that fingers can tell apart, drawn within a rectangle: lines across, lines aslant, dots, lines upright. */
export function texture(x: number, y: number, w: number, h: number, which: number): Mark {
  const gap = 5
  if (which % 4 === 2) {
    const dots: Mark[] = []
    for (let py = y + gap / 2; py < y + h - 1; py += gap)
      for (let px = x + gap / 2; px < x + w - 1; px += gap) dots.push(circle(px, py, 0.9))
    return path(dots.map((d) => (d.kind === 'path' ? d.d : '')).join(''), { fill: 'black', stroke: 'none' })
  }
  return hatched(x, y, w, h, [0, 45, 0, 90][which % 4]!, gap, { wide: 1 })
}
