import type { Counts } from '../number/places'
import { exchangeAct, type ExchangeAct } from './act'

/**
 * The exchanges between neighbouring places that turn one set of counts into another of the same worth, given the
 * difference (after − before) in each place. Breaking comes from the highest place down, making from the ones up,
 * so that no place is ever asked for more than it holds. Undefined where the worths differ.
 */
export function exchangesFor(difference: Counts, decimals = 0): readonly ExchangeAct[] | undefined {
  // broken[p]: how many of place p + 1 become ten of place p; negative where ten become one.
  const broken: number[] = []
  let above = 0
  for (let p = difference.length - 1; p >= 0; p--) {
    above = 10 * above - difference[p]!
    broken[p - 1] = above
  }
  if (above !== 0) return undefined
  const breaking: ExchangeAct[] = []
  const making: ExchangeAct[] = []
  for (let p = difference.length - 2; p >= 0; p--) {
    const times = broken[p]!
    if (times > 0) breaking.push(exchangeAct(p + 1 - decimals, false, times))
    if (times < 0) making.unshift(exchangeAct(p + 1 - decimals, true, -times))
  }
  return [...breaking, ...making]
}
