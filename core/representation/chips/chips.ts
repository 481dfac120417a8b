import { decimal } from '../../number/units'
import { placed } from '../placed/placed'
import type { PlacedMaterial } from '../placed/state'

/**
 * Chips: discs that are all alike; what one is worth is said by its column alone. So they go further than blocks, up to the
 * millions and down to the hundredths.
 */
export const CHIPS = {
  id: 'chips',
  title: 'chips',
  name: 'the chip mat',
  pieces: 'Chips',
  units: decimal(7, 2),
  decimals: 2,
  greatest: 9_999_999,
  because: 'it has no place above the millions',
  instead: ['columns', 'equations'],
  sized: false,
} as const satisfies PlacedMaterial

export const chips = placed(CHIPS)
