import { after, change, type Act } from '../act/act'
import { compare, sign, type Exact } from '../number/exact'
import { changedPlaces, unitOf } from '../number/places'
import type { Pieces } from '../number/units'

/** What a learner can be asked to foretell before an act, and what comes true. */
export interface Prediction {
  readonly direction: 'up' | 'down' | 'same'
  /** The kinds of pieces of which there will be more or fewer; of a number worked whole, the places whose digit changes. */
  readonly kinds: readonly Exact[]
  /** Why plus and minus go that way; empty where there is no sign to mind. */
  readonly why: string
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
  const why = sign(before) < 0 || sign(after(before, act)) < 0 || belowIn(act) ? directionReason(act) : ''
  if (!pieces) return { direction, kinds: changedPlaces(before, after(before, act)).map(unitOf), why }
  return { direction, why, kinds: [...new Set(pieces.map((p) => p.unit))].sort((a, b) => compare(b, a)) }
}

/** Whether an act has to do with minuses. */
const belowIn = (act: Act): boolean =>
  ('amount' in act && sign(act.amount) < 0) || (piecesIn(act) ?? []).some((p) => sign(p.unit) < 0)

/** The pieces that an act moves; undefined where it names none. */
function piecesIn(act: Act): readonly Pieces[] | undefined {
  if (act.kind === 'exchange') return [...act.from, ...act.to]
  if (act.kind === 'share') return act.each
  return 'pieces' in act ? act.pieces : undefined
}
