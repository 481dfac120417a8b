import { ADDING } from './adding'
import { BEADS } from './beads'
import { COUNTING } from './counting'
import { MONEY } from './money'
import { SIGNS_AND_PARTS } from './signsAndParts'
import type { Step } from './step'
import { TAKING_AWAY } from './takingAway'
import { TIMES_AND_SHARED } from './timesAndShared'

/** All steps, in the order in which a map shows them. */
export const STEPS: readonly Step[] = [
  ...COUNTING,
  ...ADDING,
  ...TAKING_AWAY,
  ...TIMES_AND_SHARED,
  ...SIGNS_AND_PARTS,
  ...MONEY,
  ...BEADS,
]

export const stepById = (id: string): Step | undefined => STEPS.find((s) => s.id === id)
