import { cellsOf } from '../braille/nemeth'
import { circle, moved, type GroupMark, type Mark } from './drawing'

/** Braille as it is felt on a sheet: its measures, and its dots as marks. What the cells are: core/braille. */

/** Measures in millimetres, between centres: of dots in a cell, of cells, of lines (BANA, size and spacing of braille characters, from memory). */
export const CELL = { dot: 2.5, cell: 6.2, line: 10, across: 1.5 } as const

export { cellsOf, digitCell } from '../braille/nemeth'

/** How wide a text is in braille, in millimetres. */
export const brailleWidth = (text: string): number => widthOf(cellsOf(text))
const widthOf = (cells: readonly string[]): number =>
  cells.length === 0 ? 0 : (cells.length - 1) * CELL.cell + CELL.dot + CELL.across

/** How high one line of it is. */
export const BRAILLE_HEIGHT = 2 * CELL.dot + CELL.across

/** Cells as dots, from their top left. */
export function dotsOf(cells: readonly string[]): readonly Mark[] {
  const r = CELL.across / 2
  return cells.flatMap((dots, i) =>
    Array.from(dots, (d) => {
      const dot = Number(d) - 1
      return circle(r + i * CELL.cell + (dot > 2 ? CELL.dot : 0), r + (dot % 3) * CELL.dot, r, {
        fill: 'black',
        stroke: 'none',
      })
    }),
  )
}

/** A line of braille as one figure, from its top left. */
export const braille = (text: string, x: number, y: number): GroupMark =>
  moved(dotsOf(cellsOf(text)), x, y, 1, 'figure')

/** A text in lines of braille no wider than a width. */
export const brailleLines = (text: string, width: number): readonly string[] =>
  broken(text, (words) => brailleWidth(words) <= width)

/** Words in lines, each as long as it fits; a word that does not fit by itself stands alone. */
export function broken(text: string, fits: (line: string) => boolean): readonly string[] {
  return text.split('\n').flatMap((paragraph) => {
    const found: string[] = []
    let now = ''
    for (const word of paragraph.split(/ +/)) {
      const longer = now === '' ? word : `${now} ${word}`
      if (now !== '' && !fits(longer)) {
        found.push(now)
        now = word
      } else now = longer
    }
    return [...found, now]
  })
}
