import type { BeadMove } from '../../act/beads'
import type { AbacusState } from './frame'

/** Where the beads of a frame stand, in CSS pixels. Pure, so that it can be tested without a browser. */

export interface BeadSpot {
  /** The rod's index, the lowest place first. */
  readonly rod: number
  readonly bead: 'upper' | 'lower'
  /** Counted from the bar outwards, from 0. */
  readonly nth: number
  readonly x: number
  readonly y: number
  readonly atBar: boolean
}

export interface FrameLayout {
  /** Rods lie across, one under another, and beads are counted on the left. */
  readonly across: boolean
  /** How wide and how high the frame is. */
  readonly width: number
  readonly height: number
  /** The room of one rod, and of one bead along it. */
  readonly rod: number
  readonly bead: number
  /** How far a bead travels, and where the bar lies along the rods. */
  readonly travel: number
  readonly bar: number
}

/** As thick as the bar between upper and lower beads is drawn. */
export const BAR = 22
/** The least room of a rod and of a bead: what a finger can hit; and where nothing is to be hit, what an eye can tell apart. */
const LEAST = { rod: 44, bead: 30, seen: 14 }

/**
 * The frame's measures in a space. Rods stand upright where there are upper beads; a frame of single beads lies across, so that
 * nine or ten beads in a row are each as large as a finger. A frame that is only looked at may be smaller.
 */
export function layFrame(
  { beads, rods }: Pick<AbacusState, 'beads' | 'rods'>,
  space: { w: number; h: number },
  movable = true,
): FrameLayout {
  const across = beads.upper === 0
  const n = rods.length
  const least = movable ? LEAST.rod : LEAST.seen
  if (across) {
    // Two beads' room between what is counted and what is not, so that one sees at a glance where to part them.
    const bead = Math.max(least, Math.min(96, (space.w - BAR) / (beads.lower + 2)))
    const rod = Math.max(least, Math.min(112, space.h / n))
    return { across, width: BAR + bead * (beads.lower + 2), height: rod * n, rod, bead, travel: 2 * bead, bar: 0 }
  }
  const along = beads.upper + beads.lower + 2
  const bead = Math.max(movable ? LEAST.bead : LEAST.seen, Math.min(110, (space.h - BAR) / along))
  const rod = Math.max(least, Math.min(210, bead * 2.1, space.w / n))
  return {
    across,
    width: rod * n,
    height: bead * along + BAR,
    rod,
    bead,
    travel: bead,
    bar: bead * (beads.upper + 1),
  }
}

/** Where every bead stands. The highest rod is at the left, or at the top where rods lie across. */
export function beadSpots(s: AbacusState, { across, rod, bead, travel, bar }: FrameLayout): readonly BeadSpot[] {
  const n = s.rods.length
  return s.rods.flatMap((held, i): readonly BeadSpot[] => {
    const across0 = (n - 1 - i) * rod
    const at = (along: number): { x: number; y: number } =>
      across ? { x: along, y: across0 } : { x: across0, y: along }
    const upper = Array.from({ length: s.beads.upper }, (_, nth): BeadSpot => {
      const atBar = nth < held.upper
      return { rod: i, bead: 'upper', nth, atBar, ...at(bar - (nth + 1) * bead - (atBar ? 0 : travel)) }
    })
    const lower = Array.from({ length: s.beads.lower }, (_, nth): BeadSpot => {
      const atBar = nth < held.lower
      return { rod: i, bead: 'lower', nth, atBar, ...at(bar + BAR + nth * bead + (atBar ? 0 : travel)) }
    })
    return [...upper, ...lower]
  })
}

/** Whether a move takes this bead along; `rod` of a move is a place, of a spot an index from the lowest rod. */
export function takesAlong(m: BeadMove, spot: BeadSpot, s: AbacusState): boolean {
  if (m.rod !== spot.rod - s.decimals) return false
  const other = spot.bead === 'upper' ? 'lower' : 'upper'
  if (m.bead === other) return false
  const held = s.rods[spot.rod]![spot.bead]
  // A pinch has one upper bead, whatever it has of lower ones.
  const count = spot.bead === 'upper' && m.bead === 'pinch' ? 1 : m.count
  return m.to === 'bar' ? spot.nth >= held && spot.nth < held + count : spot.nth < held && spot.nth >= held - count
}
