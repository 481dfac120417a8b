import type { Queued } from '../utils/queued'
import type { Over } from '../stores/bench/settings'

/** Takes problems to the Bench, to be worked one after another. */
export function useSetToWork() {
  const bench = useBench()
  /** Asks the first there and keeps the others for after it; what is wrong where it cannot be asked, else nothing. */
  async function turnByTurn(turns: readonly Queued[]): Promise<string> {
    if (turns.length === 0) return ''
    const refused = bench.begin(turns)
    if (refused) return refused.message
    await navigateTo('/bench')
    return ''
  }
  /** The first of some problems as it is wanted, the others as the bench is then. */
  const workThrough = (problems: readonly string[], over: Over = {}): Promise<string> =>
    turnByTurn(problems.map((problem, i) => (i === 0 ? { problem, ...over } : { problem })))
  return { workThrough, turnByTurn }
}
