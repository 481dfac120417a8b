import type { PlacedState, Zone } from '../../../../core/representation/placed/state'

/** One block with a lasting identity, so that the eye can follow it. */
export interface Piece {
  readonly id: number
  readonly zone: Exclude<Zone, 'store'>
  readonly place: number
  /** The piece it came out of (a broken ten) or grew from; its first position is taken from there. */
  readonly from: number | null
  /** The stone that moved it last. */
  readonly stone: number
}

/** All blocks out, in the order in which they lie in their columns. */
export interface Tracked {
  readonly pieces: readonly Piece[]
  readonly nextId: number
  /** Those that the last change moved or made. */
  readonly moved: ReadonlySet<number>
  /** Those that the last change took away, so that what came of them can start where they lay. */
  readonly gone: readonly Piece[]
}

export const NOTHING_OUT: Tracked = { pieces: [], nextId: 1, moved: new Set(), gone: [] }

const ZONES = ['mat', 'beside', 'taken'] as const

/**
 * Follows the blocks from one state to the next: what a column lost and another zone's column of the same place gained
 * is the same block carried over; what is new on the mat comes out of what left it. `held` are the ids in the hand,
 * which are the ones that go.
 */
export function track(before: Tracked, state: PlacedState, held: ReadonlySet<number> = new Set(), stone = 0): Tracked {
  const kept: Piece[] = []
  const loose: Piece[] = []
  for (const zone of ZONES) {
    for (const place of state[zone].keys()) {
      const here = before.pieces.filter((p) => p.zone === zone && p.place === place)
      const surplus = Math.max(0, here.length - state[zone][place]!)
      const going = new Set(
        [...here.filter((p) => held.has(p.id)).reverse(), ...here.filter((p) => !held.has(p.id)).reverse()].slice(
          0,
          surplus,
        ),
      )
      for (const piece of here) (going.has(piece) ? loose : kept).push(piece)
    }
  }
  let nextId = before.nextId
  const moved = new Set<number>()
  const added: Piece[] = []
  for (const zone of ZONES) {
    for (const place of state[zone].keys()) {
      const have = kept.filter((p) => p.zone === zone && p.place === place).length
      for (let n = have; n < state[zone][place]!; n++) {
        const same = loose.findIndex((p) => p.place === place)
        const carried = same >= 0 ? loose.splice(same, 1)[0]! : undefined
        const source = loose.find((p) => p.zone === zone && Math.abs(p.place - place) === 1)
        const piece: Piece = carried
          ? { ...carried, zone, stone }
          : { id: nextId++, zone, place, from: source?.id ?? null, stone }
        moved.add(piece.id)
        added.push(piece)
      }
    }
  }
  return { pieces: [...kept, ...added], nextId, moved, gone: loose }
}
