import { countsAt, type Place } from '../../number/places'
import { rungOf } from '../../number/units'
import { capital } from '../../number/words'
import { Refusal } from '../../refusal'
import { kindName, unitAt, widthOf, type PlacedMaterial, type PlacedMove, type PlacedState, type Zone } from './state'
import { canCarry } from './text'

/** A spot on the mat: a zone and one of its columns. */
export interface Spot {
  readonly zone: Zone
  readonly place: Place
}

const WHERE: Record<Zone, string> = {
  store: 'the store',
  mat: 'the mat',
  beside: 'the space beside',
  taken: 'the tray',
}

/**
 * The move that a hand means by carrying `count` pieces from one spot to another. A piece let go in the next lower
 * column is broken into it; pieces let go in the next higher column are tied, ten for one. Null where nothing changes.
 * @throws Refusal when hands cannot do that.
 */
export function gesture(m: PlacedMaterial, state: PlacedState, from: Spot, count: number, to: Spot): PlacedMove | null {
  if (from.zone === to.zone && from.zone !== 'mat') return null
  if (from.zone === 'mat' && to.zone === 'mat') return across(m, state, from.place, count, to.place)
  // What was put away is not taken out again by hand; only undoing does that.
  if (!canCarry(from.zone, to.zone) || (from.zone === 'store' && to.zone === 'taken'))
    throw new Refusal(
      `${m.pieces} do not go from ${WHERE[from.zone]} straight to ${WHERE[to.zone]}.`,
      'Bring them to the mat first.',
    )
  return { kind: 'carry', from: from.zone, to: to.zone, counts: countsAt(from.place + m.decimals, count, widthOf(m)) }
}

function across(m: PlacedMaterial, state: PlacedState, from: Place, count: number, to: Place): PlacedMove | null {
  if (from === to) return null
  if (Math.abs(from - to) > 1)
    throw new Refusal(
      `${capital(kindName(m, from))} and ${kindName(m, to)} are not next to each other.`,
      from > to ? `Break it into ${kindName(m, from - 1)} first.` : `Make ${kindName(m, from + 1)} first.`,
    )
  if (from > to) return { kind: 'break', place: from, times: count }
  const have = state.mat[from + m.decimals]!
  const pile = rungOf(m.units, unitAt(m, to))!.times
  if (have < pile)
    throw new Refusal(`It takes ${pile} ${kindName(m, from)} to make one ${kindName(m, to, 1)}; the mat has ${have}.`)
  return { kind: 'tie', place: to, times: Math.max(1, Math.floor(count / pile)) }
}
