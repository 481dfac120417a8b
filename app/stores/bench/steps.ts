import {
  attempt,
  nextMoves,
  Refusal,
  REPRESENTATIONS,
  silentAct,
  type Act,
  type RepresentationId,
} from '../../../core/door'
import type { BenchLying } from './lying'

/** So many moves a jump along the stones makes at the most. */
const MOST_STEPS = 10_000

interface Given {
  readonly next: () => Act | null
  readonly byMove: () => boolean
  readonly make: (on: RepresentationId | 'bench', move: string) => boolean
}

/** Steps along the stones, back and forth: what is taken back, done again, or done by Sett. */
export function benchSteps({ bench, refusal }: BenchLying, { next, byMove, make }: Given) {
  const undo = (): boolean => make('bench', 'undo')
  const redo = (): boolean => make('bench', 'redo')

  /** The next planned act, done by Sett: a step of Show, or a move accepted when offered. */
  function advance(): boolean {
    const act = next()
    if (!act) return false
    if (silentAct(bench.value.setup, bench.value.now)) return make('bench', 'ask')
    const main = bench.value.setup.representation
    const found = attempt(() => nextMoves(bench.value))
    if ('refused' in found) {
      refusal.value = found.refused
      return false
    }
    const one = byMove() && REPRESENTATIONS[main].judge !== undefined
    return (one ? found.ok.slice(0, 1) : found.ok).every((move) => make(main, REPRESENTATIONS[main].print(move)))
  }

  /** Goes back or forward until just this many stones lie; where that cannot be, what stopped it is said. */
  function jump(count: number): void {
    const lying = (): number => bench.value.now.stones.length
    const onTheWay = (): boolean =>
      bench.value.mode === 'show' && bench.value.now.open !== null && bench.value.now.stones.last?.step === 'part'
    const forth = (): boolean => (bench.value.undone.length > 0 ? redo() : advance())
    let steps = 0
    const more = (): boolean => ++steps <= MOST_STEPS
    while (lying() > count && more() && undo());
    while (lying() < count && more() && forth());
    // A digit that is stepped move by move is finished before one rests on it.
    while (onTheWay() && more() && advance());
    if (steps > MOST_STEPS)
      refusal.value = new Refusal(`It stopped after ${MOST_STEPS} moves.`, 'Choose the stone again to go on.')
  }
  return { undo, redo, advance, jump }
}
