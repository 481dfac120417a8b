import { placed } from '../placed/placed'

/**
 * Chips: discs that are all alike; what one is worth is said by its column alone. So they go further than blocks, up to the
 * millions and down to the hundredths.
 */
export const CHIPS = {
  id: 'chips',
  title: 'chips',
  name: 'the chip mat',
  pieces: 'Chips',
  above: 7,
  decimals: 2,
  because: 'it has no place above the millions',
  instead: ['columns', 'equations'],
} as const

export const chips = placed(CHIPS)
