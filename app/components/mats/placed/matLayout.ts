/** Where the blocks lie on the mat, in CSS pixels. Pure, so that it can be tested without a browser. */

export interface Box {
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
}

export interface Spot {
  readonly x: number
  readonly y: number
}

/** How many ones wide and high a block of each place is drawn; a thousand shows its depth. */
const SIZE: readonly Spot[] = [
  { x: 1, y: 1 },
  { x: 1, y: 10 },
  { x: 10, y: 10 },
  { x: 12, y: 12 },
]

const PAD = 10

/** The size of one block of a place when a one is `unit` pixels wide. */
export const blockSize = (place: number, unit: number): Spot => ({ x: SIZE[place]!.x * unit, y: SIZE[place]!.y * unit })

/** How wide a column of a place wants to be, relative to the others. */
export const columnShare = (place: number): number => [1, 1.15, 1.35, 1.45][place]!

/**
 * The largest size of a one, in pixels, at which `rows` zones of these columns still hold their blocks without
 * shrinking them: a rod must stand upright and a flat lie whole.
 */
export function unitFor(columns: readonly { place: number; box: Box; most: number }[]): number {
  const fits = columns.map(({ place, box, most }) => {
    const [w, h] = [box.w - 2 * PAD, box.h - 2 * PAD]
    if (place === 0) {
      const rows = Math.max(2, Math.ceil(most / 5))
      return Math.min(w / 6.4, h / (rows * 1.18))
    }
    if (place === 1) return Math.min(h / 10.3, w / 6)
    // Flats and cubes are stacked askew; leave a third of the room for the stack.
    return Math.min(w / (SIZE[place]!.x * 1.35), h / (SIZE[place]!.y * 1.22))
  })
  return Math.max(4, Math.min(46, ...fits))
}

/** The top left corners of `count` blocks of one place in a box: in fives, then closer together, never outside. */
export function layOut(place: number, count: number, box: Box, unit: number): readonly Spot[] {
  const size = blockSize(place, unit)
  const inner = { x: box.x + PAD, y: box.y + PAD, w: box.w - 2 * PAD, h: box.h - 2 * PAD }
  if (place === 0) return ones(count, inner, unit)
  if (place === 1) return rods(count, inner, unit)
  return stack(count, inner, size, unit)
}

/** Rows of five; two fives to a row, with a gap, when there are too many rows. */
function ones(count: number, box: Box, unit: number): readonly Spot[] {
  const gap = Math.max(1, unit * 0.18)
  const step = unit + gap
  const wide = Math.max(1, Math.floor((box.w + gap) / (5 * step + gap)))
  const high = Math.max(1, Math.floor((box.h + gap) / step))
  const fives = Math.min(wide, Math.ceil(count / 5 / high) || 1)
  const perRow = 5 * fives
  const rows = Math.ceil(count / perRow)
  const down = rows > 1 ? Math.min(step, (box.h - unit) / (rows - 1)) : step
  return Array.from({ length: count }, (_, i) => {
    const [row, col] = [Math.floor(i / perRow), i % perRow]
    return { x: box.x + col * step + Math.floor(col / 5) * unit * 0.5, y: box.y + row * down }
  })
}

/** Upright, side by side, a gap after each five. */
function rods(count: number, box: Box, unit: number): readonly Spot[] {
  const natural = unit * 1.35
  const gaps = Math.floor(Math.max(0, count - 1) / 5) * unit * 0.6
  const step = count > 1 ? Math.min(natural, (box.w - unit - gaps) / (count - 1)) : natural
  return Array.from({ length: count }, (_, i) => ({ x: box.x + i * step + Math.floor(i / 5) * unit * 0.6, y: box.y }))
}

/** One on another, each a little lower and farther right. */
function stack(count: number, box: Box, size: Spot, unit: number): readonly Spot[] {
  const along = (room: number, length: number, most: number): number =>
    count > 1 ? Math.max(0, Math.min(most, (room - length) / (count - 1))) : 0
  const dx = along(box.w, size.x, unit * 1.6)
  const dy = along(box.h, size.y, unit * 1.6)
  return Array.from({ length: count }, (_, i) => ({ x: box.x + i * dx, y: box.y + i * dy }))
}
