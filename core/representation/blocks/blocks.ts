import { decimal } from '../../number/units'
import { placed } from '../placed/placed'
import type { PlacedMaterial } from '../placed/state'

/** Base-ten blocks on a place-value chart: ones, tens, hundreds, thousands. */
export const BLOCKS = {
  id: 'blocks',
  title: 'base-ten blocks',
  name: 'the chart',
  pieces: 'Blocks',
  units: decimal(4),
  decimals: 0,
  greatest: 9999,
  because: 'it has no place above the thousands',
  instead: ['chips', 'columns', 'equations'],
  sized: true,
  along: ['columns'],
} as const satisfies PlacedMaterial

export const blocks = placed(BLOCKS)
