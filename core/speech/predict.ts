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

/** One of four things that can be done with plus and minus. */
export const SIGN_FIELDS = ['add-plus', 'add-minus', 'take-plus', 'take-minus'] as const
export type SignField = (typeof SIGN_FIELDS)[number]

/** Which of the four an act is; null where it is none. */
export function fieldOf(act: Act): SignField | null {
  if ((act.kind !== 'join' && act.kind !== 'take') || sign(act.amount) === 0) return null
  return `${act.kind === 'join' ? 'add' : 'take'}-${sign(act.amount) > 0 ? 'plus' : 'minus'}`
}

const REASONS: Readonly<Record<SignField, string>> = {
  'add-plus': 'More pluses: up.',
  'add-minus': 'More minuses: down.',
  'take-plus': 'Fewer pluses: down.',
  'take-minus': 'Fewer minuses: up. What pulled down is gone.',
}

/** Why plus and minus go the way they go; empty for what has no sign to mind. */
export function directionReason(act: Act): string {
  if (act.kind === 'exchange' && (act.from.length === 0 || act.to.length === 0))
    return 'A plus and a minus together are worth nothing.'
  const field = fieldOf(act)
  return field === null ? '' : REASONS[field]
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
