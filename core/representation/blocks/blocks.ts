import { placed } from '../placed/placed'

/** Base-ten blocks on a place-value chart: ones, tens, hundreds, thousands. */
export const BLOCKS = {
  id: 'blocks',
  title: 'base-ten blocks',
  name: 'the chart',
  pieces: 'Blocks',
  above: 4,
  decimals: 0,
  because: 'it has no place above the thousands',
  instead: ['chips', 'columns', 'equations'],
} as const

export const blocks = placed(BLOCKS)
