import type { Progress } from '../../shared/progress'
import type { TriedRow } from '../db/progress'
import { finderHere } from './standings'
import type { Store } from './store'

const breath = (): Promise<void> => new Promise((resolve) => setImmediate(resolve))

/** What a learner tried, day by day, of one step or of all; looked through in slices, so that others are answered in between. */
export async function progressOf(
  store: Store,
  learner: string,
  step: string | undefined,
  from = '',
): Promise<Progress> {
  const finder = finderHere(store)
  const rows = store.triedBy(learner, from)
  const steps: string[] = []
  const found: TriedRow[] = []
  for (const [i, row] of rows.entries()) {
    const of = row.step || finder.find({ problem: row.problem }) || ''
    if (of && !steps.includes(of)) steps.push(of)
    if (step === undefined || of === step) found.push(row)
    if (i % 40 === 39) await breath()
  }
  return {
    tried: found.reverse().map(({ day, right, help, material, count, ms }) => ({
      day,
      right: right === 1,
      help,
      material,
      count,
      ms,
    })),
    slips: store.slipsBy(learner, from),
    goals: store.goals(learner),
    decisions: store.decisions(learner),
    steps,
  }
}
