import { openBench, type Bench, type Refusal } from '../../../core/door'
import type { BenchSettings } from './settings'

/** A record being looked at move by move: every bench it went through, and which is shown. */
export interface Replay {
  readonly benches: readonly Bench[]
  readonly at: number
}

/** What lies on the bench of this window, and since when. */
export function benchLying({ mode, way, material }: BenchSettings) {
  const bench = shallowRef<Bench>(
    openBench({ problem: '52 - 37', representation: 'blocks', also: ['columns', 'equations'] }, 'show'),
  )
  const id = ref<string>(crypto.randomUUID())
  const startedAt = ref(new Date().toISOString())
  const clock = ref(performance.now())
  /** What was refused last, or null. */
  const refusal = shallowRef<Refusal | null>(null)
  const savedLength = ref(0)
  /** Whose work it is, from its first move on; null where nobody was chosen. */
  const whose = ref<string | null>(null)
  /** Whether hands did some of it, and not Sett all by itself. */
  const handled = ref(false)
  /** The stone that hovering or focusing has picked out; the newest otherwise. */
  const picked = ref<number | null>(null)
  const hint = ref(false)
  const replaying = shallowRef<Replay | null>(null)
  /** While the bench is lent to a practice page, nothing of it is kept or set aside: what was there comes back as it was. */
  const lent = ref(false)

  /** Lends the bench; what is returned puts everything back as it stood. */
  function lend(): () => void {
    const was = {
      bench: bench.value,
      id: id.value,
      startedAt: startedAt.value,
      clock: clock.value,
      saved: savedLength.value,
      whose: whose.value,
      handled: handled.value,
      replaying: replaying.value,
      settings: [mode.value, way.value, material.value] as const,
    }
    lent.value = true
    return () => {
      lent.value = false
      bench.value = was.bench
      id.value = was.id
      startedAt.value = was.startedAt
      clock.value = was.clock
      savedLength.value = was.saved
      whose.value = was.whose
      handled.value = was.handled
      replaying.value = was.replaying
      ;[mode.value, way.value, material.value] = was.settings
      freshlySeen()
    }
  }

  /** Everything seen of the bench before is put away: what was refused, what was picked out, the hint. */
  function freshlySeen(): void {
    refusal.value = null
    picked.value = null
    hint.value = false
  }
  return {
    bench,
    id,
    startedAt,
    clock,
    refusal,
    savedLength,
    whose,
    handled,
    picked,
    hint,
    replaying,
    lent,
    lend,
    freshlySeen,
  }
}
export type BenchLying = ReturnType<typeof benchLying>
