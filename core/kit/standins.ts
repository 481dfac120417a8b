import type { RepresentationId } from '../materials'
import type { Size } from './safety'

/** What pieces are usually like, and what can stand in for them (practice, section 16; common practice, no source). */
export interface PieceKind {
  readonly size: Size
  /** What stands in, and how ten of one kind make one of the next. */
  readonly standIns: readonly { readonly name: string; readonly how: string }[]
  /** How long an adult takes to cut one out of card, in seconds. */
  readonly cutting: number
}

const card = (across: number): Size => ({ across, thick: 0.5 })
const COUNTER: PieceKind = {
  size: { across: 20, thick: 3 },
  standIns: [
    { name: 'buttons', how: 'All of one size.' },
    { name: 'card squares', how: '25 mm squares of card.' },
  ],
  cutting: 4,
}
const CHIP: PieceKind = {
  size: { across: 25, thick: 2 },
  standIns: [
    { name: 'card rounds', how: 'Write 1, 10, 100 or 1,000 on each; ten of one are exchanged for one of the next.' },
  ],
  cutting: 8,
}

/** Base-ten blocks by their kinds; the other materials have pieces that are all alike. */
const BLOCKS: Readonly<Record<string, PieceKind>> = {
  one: {
    size: [10, 10, 10],
    standIns: [
      { name: 'sticks', how: 'A single stick.' },
      { name: 'bricks', how: 'A single brick with one stud.' },
      { name: 'card squares', how: '10 mm squares.' },
    ],
    cutting: 4,
  },
  ten: {
    size: [10, 10, 100],
    standIns: [
      { name: 'bundles', how: 'Ten sticks, held by a band; undone when a ten is exchanged.' },
      { name: 'bricks', how: 'Ten bricks put together in a bar.' },
      { name: 'card strips', how: '10 by 100 mm, marked every 10 mm.' },
    ],
    cutting: 6,
  },
  hundred: {
    size: [10, 100, 100],
    standIns: [
      { name: 'boxes', how: 'Ten bundles in a box.' },
      { name: 'card squares', how: '100 by 100 mm, ruled every 10 mm.' },
    ],
    cutting: 10,
  },
  thousand: {
    size: [100, 100, 100],
    standIns: [{ name: 'large boxes', how: 'Ten boxes of a hundred; or a cube of 100 mm, folded of card.' }],
    cutting: 300,
  },
}

/** What a kind of piece is like; undefined where nothing is known of it. */
export function pieceKind(material: RepresentationId, kind: string): PieceKind | undefined {
  if (kind === 'plate')
    return { size: { across: 180, thick: 15 }, standIns: [{ name: 'card rounds', how: '180 mm across.' }], cutting: 20 }
  if (material === 'blocks' || material === 'plates') return BLOCKS[kind]
  if (material === 'chips') return CHIP
  if (material === 'counters' || material === 'groups') return COUNTER
  if (material === 'signed')
    return {
      size: card(25),
      standIns: [{ name: 'card counters', how: 'A cross on one side, a bar on the other.' }],
      cutting: 6,
    }
  if (material === 'strips')
    return {
      size: [0.5, 25, 200],
      standIns: [{ name: 'folded paper', how: 'A strip folded into equal parts.' }],
      cutting: 8,
    }
  return undefined
}

/** How long cutting a kit takes, in minutes; what cannot be cut is left out. */
export const cuttingMinutes = (
  material: RepresentationId,
  items: readonly { readonly kind: string; readonly total: number }[],
): number =>
  Math.ceil(items.reduce((sum, { kind, total }) => sum + total * (pieceKind(material, kind)?.cutting ?? 0), 0) / 60)
