import { after, change, type Act } from '../act/act'
import { compare, sign, type Exact } from '../number/exact'
import { changedPlaces, unitOf } from '../number/places'
import type { Pieces } from '../number/units'

/** What a learner can be asked to foretell before an act, and what comes true. */
export interface Prediction {
  readonly direction: 'up' | 'down' | 'same'
  /** The kinds of pieces of which there will be more or fewer; of a number worked whole, the places whose digit changes. */
  readonly kinds: readonly Exact[]
}

/** What is to be foretold of an act, when `before` stands there. */
export function predictionOf(act: Act, before: Exact): Prediction {
  const moved = sign(change(act))
  const direction = moved > 0 ? 'up' : moved < 0 ? 'down' : 'same'
  const pieces = piecesIn(act)
  if (!pieces) return { direction, kinds: changedPlaces(before, after(before, act)).map(unitOf) }
  return { direction, kinds: [...new Set(pieces.map((p) => p.unit))].sort((a, b) => compare(b, a)) }
}

/** The pieces that an act moves; undefined where it names none. */
function piecesIn(act: Act): readonly Pieces[] | undefined {
  if (act.kind === 'exchange') return [...act.from, ...act.to]
  if (act.kind === 'share') return act.each
  return 'pieces' in act ? act.pieces : undefined
}
