import type { Act } from '../../core/act/act'
import { placeOfUnit } from '../../core/number/places'

/** The places that an act touches. */
export const placesOf = (act: Act): number[] =>
  (act.kind === 'exchange' ? [act.from, act.to] : 'pieces' in act ? (act.pieces ?? []) : []).map((p) =>
    placeOfUnit(p.unit)!,
  )

/** The exchange among some acts, from one place to another; null where there is none. */
export function exchangeIn(acts: readonly Act[]): { readonly from: number; readonly to: number } | null {
  const found = acts.find((a) => a.kind === 'exchange')
  if (found?.kind !== 'exchange') return null
  return { from: placeOfUnit(found.from.unit)!, to: placeOfUnit(found.to.unit)! }
}
