import type { Exact } from '../../number/exact'
import { piecesFor, type Pieces, type Units } from '../../number/units'

/** A number in the pieces of the page; one they do not make stands as it is. */
export const asHeld = (value: Exact, units: Units): readonly Pieces[] =>
  piecesFor(value, units) ?? [{ count: 1, unit: value }]
