import { timesOfCore } from './core'
import { firstLoad } from './load'
import { framesWhileDragging } from './frames'
import { tapsOnMats } from './mats'
import { longRecords } from './records'
import { savesPerSecond } from './saves'

/** Prints one measured figure with what it is held against. */
export interface Figure {
  readonly what: string
  readonly value: string
  readonly beside: string
}

for (const [title, measure] of [
  ['The work of the core', timesOfCore],
  ['Long records', longRecords],
  ['First load of the Bench', firstLoad],
  ['Frames while dragging, 500 pieces out', framesWhileDragging],
  ['Taps on the mats', tapsOnMats],
  ['Saving', savesPerSecond],
] as const) {
  console.log(`\n${title}`)
  for (const { what, value, beside } of await measure())
    console.log(`  ${what.padEnd(58)} ${value.padStart(12)}   ${beside}`)
}
process.exit(0)
