import { ZERO } from '../number/exact'
import { countOf, decimal, has, ladderOf, opposite, worthOf, type Pieces, type Units } from '../number/units'
import type { Counts } from '../number/places'
import { breakAct, makeAct, piecesOf, type ExchangeAct } from './act'

/**
 * The exchanges that turn some pieces into others of the same worth, given the difference (after − before) of each kind. On a ladder
 * they go between neighbours: breaking from the highest kind down, making from the lowest up, so that no kind is ever asked for more
 * than it holds. Where kinds are no ladder, it is one exchange of all that went for all that came. Undefined where the worths differ.
 */
export function exchangesFor(difference: readonly Pieces[], units: Units): readonly ExchangeAct[] | undefined {
  if (worthOf(difference) !== ZERO) return undefined
  if (difference.length === 0) return []
  const ladder = has(units, difference) ? ladderOf(units) : undefined
  if (!ladder) {
    const [went, came] = [difference.filter((p) => p.count < 0), difference.filter((p) => p.count > 0)]
    return [{ kind: 'exchange', from: opposite(went), to: came }]
  }
  const breaking: ExchangeAct[] = []
  const making: ExchangeAct[] = []
  // How many of the kind at hand are broken into the next lower; below nought where so many are made of it.
  let broken = 0
  for (let i = ladder.length - 1; i >= 0; i--) {
    const rung = ladder[i]!
    const above = ladder[i + 1]
    broken = (above ? above.times * broken : 0) - countOf(difference, rung.unit)
    if (broken > 0) breaking.push(breakAct(rung, broken))
    if (broken < 0) making.unshift(makeAct(rung, -broken))
  }
  return [...breaking, ...making]
}

/** The same for counts in places, the lowest first. */
export const exchangesInPlaces = (difference: Counts, decimals = 0): readonly ExchangeAct[] | undefined =>
  exchangesFor(piecesOf(difference, decimals), decimal(Math.max(1, difference.length - decimals), decimals))
