import { predictionOf, type Prediction } from '../../core/speech/predict'

/** Milliseconds between two steps while playing. */
const PACE = 1800

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
    const foretold = predicts.value && (next.kind === 'join' || next.kind === 'take' || next.kind === 'exchange')
    if (foretold && !asked.value) {
      asked.value = predictionOf(next, bench.bench.now.standing.value)
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
