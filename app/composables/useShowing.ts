import { type BeadMove, type Prediction, predictionOf, unitOf } from '../../core/door'

/** Milliseconds between two steps while playing. */
const PACE = 1800

/** Of beads the columns are the rods that move, also where a number below nought shows other digits. */
function rodsOf(moves: readonly unknown[]): Partial<Prediction> {
  const beads = (moves as readonly (BeadMove | { kind: string })[]).filter((m): m is BeadMove => m.kind === 'beads')
  return beads.length > 0 ? { kinds: [...new Set(beads.map((m) => m.rod))].sort((a, b) => b - a).map(unitOf) } : {}
}

/** Stepping and playing: through the plan, or through a record; with a pause for a prediction where it is wanted. */
export function useShowing() {
  const bench = useBench()
  const predicts = useLocalStorage('sett.predicts', false)
  const asked = shallowRef<Prediction | null>(null)

  function forward(): boolean {
    const replay = bench.replaying
    if (replay) {
      bench.look(replay.at + 1)
      return replay.at + 1 < replay.benches.length
    }
    const next = bench.next
    if (!next) return false
    const onTheWay = bench.bench.now.open !== null && bench.stones.at(-1)?.step === 'part'
    const foretold =
      predicts.value && !onTheWay && (next.kind === 'join' || next.kind === 'take' || next.kind === 'exchange')
    if (foretold && !asked.value) {
      asked.value = { ...predictionOf(next, bench.bench.now.standing.value), ...rodsOf(bench.nextMoves) }
      return false
    }
    asked.value = null
    return bench.advance()
  }

  function back(): void {
    asked.value = null
    const replay = bench.replaying
    if (replay) bench.look(replay.at - 1)
    else if (bench.bench.past.length > 0) bench.undo()
  }

  const { isActive, pause, resume } = useIntervalFn(
    () => {
      if (!forward()) pause()
    },
    PACE,
    { immediate: false },
  )
  function play(): void {
    if (isActive.value) pause()
    else if (forward()) resume()
  }
  watch(
    () => bench.id,
    () => {
      pause()
      asked.value = null
    },
  )
  return { predicts, asked, forward, back, play, playing: isActive }
}
