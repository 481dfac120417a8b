import { after, change, type Act } from '../act/act'
import { sign, type Exact } from '../number/exact'
import { changedPlaces, placeOfUnit, type Place } from '../number/places'

/** What a learner can be asked to foretell before an act, and what comes true. */
export interface Prediction {
  readonly direction: 'up' | 'down' | 'same'
  /** The columns whose pieces change; of a number worked whole, those whose digit does. */
  readonly columns: readonly Place[]
}

/** What is to be foretold of an act, when `before` stands there. */
export function predictionOf(act: Act, before: Exact): Prediction {
  const moved = sign(change(act))
  const direction = moved > 0 ? 'up' : moved < 0 ? 'down' : 'same'
  const pieces = act.kind === 'exchange' ? [act.from, act.to] : 'pieces' in act ? act.pieces : undefined
  if (!pieces) return { direction, columns: changedPlaces(before, after(before, act)) }
  return { direction, columns: pieces.map((p) => placeOfUnit(p.unit)!).sort((a, b) => b - a) }
}
