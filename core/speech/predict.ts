import { change, type Act } from '../act/act'
import { sign } from '../number/exact'
import { placeOfUnit, type Place } from '../number/places'

/** What a learner can be asked to foretell before an act, and what comes true. */
export interface Prediction {
  readonly direction: 'up' | 'down' | 'same'
  /** The columns whose pieces change. */
  readonly columns: readonly Place[]
}

export function predictionOf(act: Act): Prediction {
  const moved = sign(change(act))
  const pieces = act.kind === 'exchange' ? [act.from, act.to] : 'pieces' in act ? (act.pieces ?? []) : []
  return {
    direction: moved > 0 ? 'up' : moved < 0 ? 'down' : 'same',
    columns: pieces.map((p) => placeOfUnit(p.unit)!).sort((a, b) => b - a),
  }
}
