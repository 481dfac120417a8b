import { markOf, MARK_UNITS, STONE_HEIGHT } from '../mark'
import { BRAILLE_HEIGHT, braille, brailleLines } from './braille'
import { line, lines, moved, POINT, rect, text, type Mark } from './drawing'
import { bold, lineHeight, PAPER_SIZES, sizeFor, type Setting } from './setting'

/** A page for the printer: its own size, and what is on it. */
export interface Page {
  readonly w: number
  readonly h: number
  /** What the page is, for the document's outline and for a screen reader. */
  readonly title: string
  readonly marks: readonly Mark[]
}

/** What a kind of sheet draws: one or several sheets, each in the room that it was given. */
export interface Content {
  readonly title: string
  readonly sheets: readonly (readonly Mark[])[]
  /** Whether a learner writes a name on it. */
  readonly named?: boolean
}

/** A code by which a set is found again: its letters, and the squares of its QR code, row by row. */
export interface Code {
  readonly letters: string
  readonly squares: readonly (readonly boolean[])[]
}

/** The room for what a sheet shows, from its own top left. */
export interface Room {
  readonly w: number
  readonly h: number
}

/** The least distance from the edge of the paper, in millimetres: what printers leave white, and a little more. */
const EDGE = 10
/** Every sheet has a bar of 100 mm to be measured: printers that make a page larger or smaller are found out. */
export const CHECK_BAR = 100
const QR_SIZE = 18

/** How large a learner's mark is beside the name. */
const MARK_SIZE = 11
const headHeight = (s: Setting): number =>
  s.tactile ? BRAILLE_HEIGHT + 9 : Math.max(MARK_SIZE, lineHeight(sizeFor(s, 'heading'))) + 4
const footHeight = (s: Setting, coded: boolean): number =>
  Math.max(s.big || s.tactile ? 16 : 10, coded ? QR_SIZE + 3 : 0)

/** The size of one sheet: a page, or half of one. */
function sheetSize(s: Setting, landscape: boolean): Room {
  const { w, h } = PAPER_SIZES[s.paper]
  const [short, long] = s.perPage === 2 ? [h / 2, w] : [w, h]
  return landscape ? { w: long, h: short } : { w: short, h: long }
}

/** The room that is left on a sheet between head and foot. */
export function roomOn(s: Setting, landscape: boolean, coded = false): Room {
  const { w, h } = sheetSize(s, landscape)
  return { w: w - 2 * EDGE, h: h - 2 * EDGE - headHeight(s) - footHeight(s, coded) }
}

/** The squares of a QR code, with the four squares of white around them that readers want. */
function qrMarks({ squares }: Code, x: number, y: number): Mark {
  const unit = QR_SIZE / (squares.length + 8)
  const found = squares.flatMap((row, r) =>
    row.flatMap((dark, c) => (dark ? [rect((c + 4) * unit, (r + 4) * unit, unit, unit).d] : [])),
  )
  return moved([{ kind: 'path', d: found.join(''), fill: 'black', stroke: 'none' }], x, y, 1, 'picture')
}

export interface Heading {
  readonly title: string
  /** The learner it is for: a name, '' for a line to write one on, null where nobody's name belongs on it. */
  readonly name: string | null
  readonly code: Code | null
  readonly number: number
  readonly of: number
}

/** A learner's mark and name at the right of the head, large enough to hand the sheet out by; a long name is smaller. */
function named(s: Setting, name: string, from: number, right: number): readonly Mark[] {
  const { stones, other } = markOf(name)
  const scale = MARK_SIZE / MARK_UNITS
  const room = right - from - MARK_SIZE - 3
  const size = Math.min(s.big ? 28 : 20, (s.big ? 28 : 20) * (room / s.measure(name, 'bold', s.big ? 28 : 20)))
  const width = s.measure(name, 'bold', size)
  const x = right - width - 3 - MARK_SIZE
  return [
    rect(x, EDGE - 1, MARK_SIZE, MARK_SIZE, { wide: 0.3 }, 2.5),
    ...stones.map((stone, i) =>
      rect(
        x + stone.x * scale,
        EDGE - 1 + stone.y * scale,
        stone.width * scale,
        STONE_HEIGHT * scale,
        { wide: 0.3, ...(i === other ? { fill: 'black' as const } : {}) },
        0.5,
      ),
    ),
    text(right, EDGE - 1 + MARK_SIZE / 2 + size * POINT * 0.36, name, size, 'bold', 'end'),
  ]
}

/** Head and foot around what a sheet shows. */
export function framed(s: Setting, landscape: boolean, marks: readonly Mark[], about: Heading): readonly Mark[] {
  const { w, h } = sheetSize(s, landscape)
  const bottom = h - EDGE
  const size = sizeFor(s, 'heading')
  const small = sizeFor(s, 'small')
  const head: Mark[] = s.tactile
    ? [braille(brailleLines(about.title, w - 2 * EDGE - (about.name ? 66 : 0))[0] ?? '', EDGE, EDGE)]
    : [text(EDGE, EDGE + size * POINT, about.title, size, 'bold')]
  if (about.name && s.tactile) head.push(braille(about.name, w - EDGE - 60, EDGE))
  else if (about.name !== null && !s.tactile) {
    const right = w - EDGE
    const from = Math.max(EDGE + s.measure(about.title, 'bold', size) + 6, right - (s.big ? 90 : 66))
    const base = EDGE + size * POINT
    if (about.name) head.push(...named(s, about.name, from, right))
    else if (right - from > 25)
      head.push(
        text(from, base, 'Name', size),
        line(from + s.measure('Name', 'regular', size) + 2, base + 1, right, base + 1, { wide: 0.3 }),
      )
  }
  const bar = bottom - 1
  // The letters of a code are read by people, so they stay letters on a sheet for the fingers too.
  const foot: Mark[] = [
    lines(
      [
        [EDGE, bar, EDGE + CHECK_BAR, bar],
        [EDGE, bar - 2, EDGE, bar + 1],
        [EDGE + CHECK_BAR, bar - 2, EDGE + CHECK_BAR, bar + 1],
      ],
      { wide: s.tactile ? bold(s) : 0.3 },
    ),
    ...(s.tactile ? [] : [text(EDGE + CHECK_BAR / 2, bar - 1.5, `${CHECK_BAR} mm`, small, 'regular', 'middle')]),
  ]
  if (!s.tactile) {
    const edge = w - EDGE - (about.code ? QR_SIZE + 2 : 0)
    const pages = about.of > 1 ? `${about.number} of ${about.of}` : ''
    const words = about.code ? [about.code.letters, pages] : [pages]
    for (const [i, word] of words.filter((t) => t !== '').entries())
      foot.push(text(edge, bar - i * lineHeight(small), word, small, 'regular', 'end'))
  }
  if (about.code) foot.push(qrMarks(about.code, w - EDGE - QR_SIZE, bottom - QR_SIZE))
  return [...head, moved(marks, EDGE, EDGE + headHeight(s)), moved(foot, 0, 0, 1, 'figure')]
}

/** A sheet on its way to a page. */
export interface Leaf {
  readonly title: string
  readonly landscape: boolean
  readonly marks: readonly Mark[]
}

/** Puts sheets on pages: each on its own, or two of the same kind on one with a line to cut along. */
export function imposed(s: Setting, leaves: readonly Leaf[]): readonly Page[] {
  const pages: Page[] = []
  for (let i = 0; i < leaves.length;) {
    const leaf = leaves[i]!
    const { w, h } = sheetSize(s, leaf.landscape)
    if (s.perPage === 1) {
      pages.push({ w, h, title: leaf.title, marks: leaf.marks })
      i++
      continue
    }
    const second = leaves[i + 1]?.landscape === leaf.landscape ? leaves[i + 1] : undefined
    // Sheets that lie across are under one another, those that stand are side by side.
    const [dx, dy] = leaf.landscape ? [0, h] : [w, 0]
    const cut = leaf.landscape ? line(0, h, w, h, CUT) : line(w, 0, w, h, CUT)
    pages.push({
      w: w + dx,
      h: h + dy,
      title: second && second.title !== leaf.title ? `${leaf.title}, ${second.title}` : leaf.title,
      marks: [moved(leaf.marks, 0, 0), ...(second ? [moved(second.marks, dx, dy)] : []), cut],
    })
    i += second ? 2 : 1
  }
  return pages
}

/** A line to be cut along. */
export const CUT = { wide: 0.25, dash: [2, 2] } as const
