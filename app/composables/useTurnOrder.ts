import type { LessonTurn } from '../../shared/lessons'

/** The order of a lesson's turns, within each of its parts: moved up or down, or dragged. */
export function useTurnOrder(turns: () => readonly LessonTurn[], put: (turns: LessonTurn[]) => void) {
  /** Moves a turn to the place of another one of its part. */
  function move(from: number, to: number): void {
    const all = turns()
    if (from === to || all[from]?.mode !== all[to]?.mode) return
    put(all.toSpliced(from, 1).toSpliced(to, 0, all[from]!))
  }
  /** The place of the turn before or after one in its part; where there is none, its own. */
  function besideOf(at: number, by: -1 | 1): number {
    const all = turns()
    const isOfPart = (t: LessonTurn): boolean => t.mode === all[at]!.mode
    const found = by < 0 ? all.slice(0, at).findLastIndex(isOfPart) : all.findIndex((t, i) => i > at && isOfPart(t))
    return found < 0 ? at : found
  }
  const dragged = ref<number | null>(null)
  function drop(at: number): void {
    if (dragged.value !== null) move(dragged.value, at)
    dragged.value = null
  }
  return { move, besideOf, dragged, drop }
}
