import { type Act, changedPlaces, type Pieces, placeOfUnit, ZERO } from '../../core/door'

/** The places that an act touches. */
export const placesOf = (act: Act): number[] =>
  act.kind === 'exchange'
    ? placesIn([...act.from, ...act.to])
    : 'rule' in act
      ? digitPlaces(act)
      : placesIn('pieces' in act ? (act.pieces ?? []) : act.kind === 'share' ? act.each : [])

/** The columns of places that some pieces lie in; pieces of other worths lie in none. */
const placesIn = (pieces: readonly Pieces[]): number[] => pieces.flatMap((p) => placeOfUnit(p.unit) ?? [])

/** The rods that a digit worked by a rule moves: its own, and those above that it sets off. */
function digitPlaces(act: Act): number[] {
  if (act.kind !== 'lay' && act.kind !== 'join' && act.kind !== 'take') return []
  return act.parts ? [...new Set(act.parts.flatMap(digitPlaces))] : [changedPlaces(ZERO, act.amount).at(-1) ?? 0]
}

/** The exchange among some acts, from one place to another; null where there is none. */
export function exchangeIn(acts: readonly Act[]): { readonly from: number; readonly to: number } | null {
  const found = acts.find((a) => a.kind === 'exchange')
  if (found?.kind !== 'exchange') return null
  const [from] = placesIn(found.from)
  const [to] = placesIn(found.to)
  return from === undefined || to === undefined ? null : { from, to }
}
