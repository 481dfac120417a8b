import { enter, openBench, type Refusal, type WorkRecord } from '../../../core/door'
import type { SavedRecord } from '../../../shared/schemas'
import type { Draft } from '../../utils/kept'
import type { BenchLying } from './lying'

/** A saved record looked at move by move. */
export function benchReplay(lying: BenchLying, resume: (from: Draft, saved: boolean) => Refusal | null) {
  const { bench, id, startedAt, clock, savedLength, picked, replaying } = lying

  /** Opens a saved record to be replayed. */
  function open(record: SavedRecord): Refusal | null {
    const work = record.work as WorkRecord
    const { id: saved, startedAt: since, learnerId: learner } = record
    const refused = resume({ id: saved, startedAt: since, learner, work }, true)
    if (refused) return refused
    const benches = [openBench(work, work.mode)]
    for (const entry of work.moves) benches.push(enter(benches.at(-1)!, entry))
    replaying.value = { benches, at: benches.length - 1 }
    return null
  }

  /** Shows another moment of the record; nothing is changed by looking. */
  function look(at: number): void {
    const replay = replaying.value
    if (!replay || !replay.benches[at]) return
    replaying.value = { ...replay, at }
    bench.value = replay.benches[at]
    picked.value = null
  }

  /** The first move of one's own ends the replay. From the middle of a record it begins a new one; the old stays as it is. */
  function leaveReplay(): void {
    const replay = replaying.value
    if (!replay) return
    if (replay.at < replay.benches.length - 1) {
      id.value = crypto.randomUUID()
      startedAt.value = new Date().toISOString()
      savedLength.value = 0
    }
    clock.value = performance.now() - (bench.value.log.last?.at ?? 0)
    replaying.value = null
  }
  return { open, look, leaveReplay }
}
