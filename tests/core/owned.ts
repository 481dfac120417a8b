import { coins, decimal, ones, parts, SIGNED, type Units } from '../../core/number/units'
import { pens } from './toy'

/** Units of every sort: places, a ladder of twelves, ones, signs, parts of a whole and coins. */
export const COINS = coins([25, 10, 5, 1], { '25': ['quarter', 'quarters'] })
export const OWNED: readonly (readonly [string, Units])[] = [
  ['places', decimal(7, 2)],
  ['pens', pens.units],
  ['ones', ones(['finger', 'fingers'])],
  ['signed', SIGNED],
  ['parts', parts(2, 4, 8)],
  ['coins', COINS],
]
