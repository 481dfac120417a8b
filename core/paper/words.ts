import { pretty } from '../speech/words'
import { line, moved, type Mark } from './drawing'
import { column, flowed, mathLine, paragraph, type Block } from './lines'
import type { Content, Room } from './page'
import { lineHeight, sizeFor, type Setting } from './setting'

/** Sheets that are read: a lesson, what is known of a learner. Whoever asks for one has put it into words. */

export interface Section {
  readonly title: string
  readonly text?: string
  /** Rows of a table; a cell that begins with `=` is mathematics, as the core writes it. */
  readonly rows?: readonly (readonly string[])[]
  /** How many empty lines there are to write on. */
  readonly blank?: number
}
export interface WordsWish {
  readonly kind: 'words'
  readonly title: string
  readonly under: string
  readonly sections: readonly Section[]
}

const isMaths = (cell: string): boolean => cell.startsWith('=')
const plainOf = (cell: string): string => (isMaths(cell) ? pretty(cell.slice(1)) : cell)

/** A table whose columns are as wide as they need, the last one as wide as is left. */
function table(s: Setting, rows: readonly (readonly string[])[], width: number): readonly Block[] {
  const size = sizeFor(s, 'body')
  if (s.tactile)
    return rows.map((row) =>
      paragraph(
        s,
        row
          .filter((c) => c !== '')
          .map(plainOf)
          .join(' · '),
        width,
        size,
      ),
    )
  const count = Math.max(0, ...rows.map((r) => r.length))
  const needs = Array.from(
    { length: count },
    (_, c) =>
      Math.max(
        0,
        ...rows.map((r) =>
          s.measure(plainOf(r[c] ?? ''), isMaths(r[c] ?? '') ? 'regular' : c === 0 ? 'bold' : 'regular', size),
        ),
      ) + 4,
  )
  // No column takes more than half of the sheet from the others.
  const widths = needs.map((n, c) => (c === count - 1 ? 0 : Math.min(n, width / 2)))
  widths[count - 1] = Math.max(width / 5, width - widths.reduce((a, b) => a + b, 0))
  return rows.map((row): Block => {
    const cells = row.map((cell, c) => {
      const font = c === 0 ? 'bold' : 'regular'
      return isMaths(cell) ? mathLine(s, cell.slice(1), size) : paragraph(s, cell, widths[c]! - 3, size, font)
    })
    const high = Math.max(...cells.map((b) => b.h)) + 1.2
    let x = 0
    const marks: Mark[] = []
    cells.forEach((b, c) => {
      if (b.marks.length > 0) marks.push(moved(b.marks, x, 0))
      x += widths[c]!
    })
    return {
      w: width,
      h: high,
      marks: [...marks, line(0, high - 0.4, width, high - 0.4, { stroke: 'grey', wide: 0.15 })],
    }
  })
}

/** Lines to write on. */
export const writingLines = (s: Setting, count: number, width: number): readonly Block[] =>
  Array.from({ length: count }, () => {
    const high = s.big || s.tactile ? 14 : 8.5
    return {
      w: width,
      h: high,
      marks: [line(0, high - 1, width, high - 1, { stroke: s.tactile ? 'black' : 'grey', wide: s.tactile ? 1 : 0.25 })],
    }
  })

function headed(s: Setting, title: string, width: number): Block {
  const size = sizeFor(s, 'body') * (s.tactile ? 1 : 1.15)
  const set = paragraph(s, title, width, size, 'bold')
  return { ...set, h: set.h + (s.tactile ? 0 : 0.8) }
}

/** Sections under one another, as blocks so wide; a heading goes with the first line under it. */
function blocksOf({ sections, under }: WordsWish, s: Setting, width: number): readonly Block[] {
  const size = sizeFor(s, 'body')
  const space: Block = { w: 0, h: s.tactile ? 4 : lineHeight(size) * 0.55, marks: [] }
  const blocks = sections.flatMap(({ title, text, rows = [], blank = 0 }, i): readonly Block[] => {
    const inside: readonly Block[] = [
      ...(text ? text.split('\n').map((t) => paragraph(s, t, width, size)) : []),
      ...table(s, rows, width),
      ...writingLines(s, blank, width),
    ]
    const [first, second, ...others] = [...(title ? [headed(s, title, width)] : []), ...inside]
    if (!first) return []
    const begun =
      title && second ? [column([first, second]), ...others] : [first, ...(second ? [second, ...others] : [])]
    return i > 0 ? [space, ...begun] : begun
  })
  return under ? [paragraph(s, under, width, size), space, ...blocks] : blocks
}

/** A sheet of sections; in two columns where that keeps it to one sheet. */
export function wordSheets(wish: WordsWish, room: Room, s: Setting): Content {
  const gap = s.tactile ? 2 : 0
  const one = flowed(blocksOf(wish, s, room.w), room.h, gap)
  const half = (room.w - 8) / 2
  if (one.length === 1 || s.big || s.tactile || half < 80) return { title: wish.title, sheets: one }
  const blocks = blocksOf(wish, s, half)
  if (flowed(blocks, room.h, gap).length > 2) return { title: wish.title, sheets: one }
  // As short as two columns can be, so that both are about as long.
  let high = room.h
  while (high > 20 && flowed(blocks, high - 5, gap).length === 2) high -= 5
  const two = flowed(blocks, high, gap)
  return { title: wish.title, sheets: [two.map((marks, i) => moved(marks, i * (half + 8), 0))] }
}
