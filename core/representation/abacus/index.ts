/** The door to the bead frames: what rehearsing and the room's settings ask of them besides their place on the list. */
export { MOST_RODS } from './abacus'
export type { AbacusState } from './frame'
export { judge } from './judge'
export { RULES } from './rules'
export { parse, print } from './text'
export { workDigit } from './work'
