import { MOST_SET } from '../../core/course/index'
import type { RecordPage } from '../../shared/listing'
import { LIMITS_AT_FIRST, limitsOf, soundForm } from '../utils/limitsForm'
import { request } from '../utils/request'

const isText = (v: unknown): v is string => typeof v === 'string'
const texts = (v: unknown): string[] => (Array.isArray(v) ? v.filter(isText).slice(0, MOST_SET) : [])

/** A set of problems by limits, as this browser keeps it: some locked, some dropped, the others set anew whenever the limits change. */
export function useProblemSet() {
  const classroom = useClassroom()
  const { answer, set } = useSetter()
  const kept = useLocalStorage('sett.problems', {
    form: { ...LIMITS_AT_FIRST },
    count: 10,
    seed: 1,
    hardestLast: true,
    notHad: true,
    locked: [] as string[],
    dropped: [] as string[],
  })
  // What was kept by an earlier Sett, or by hand, may lack some of it, or be something else.
  const now = kept.value
  kept.value = {
    ...now,
    form: soundForm(now.form),
    seed: Number.isInteger(now.seed) ? now.seed : 1,
    locked: texts(now.locked),
    dropped: texts(now.dropped),
  }

  /** What the learner chosen has had lately, so that it is not set again. */
  const had = shallowRef<readonly string[]>([])
  watch(
    () => classroom.learnerId,
    async (learner) => {
      had.value = []
      if (!learner) return
      const page = await request<RecordPage>(`/api/records?learner=${learner}&limit=200`).catch(() => null)
      if (learner === classroom.learnerId) had.value = page?.records.map((r) => r.problem) ?? []
    },
    { immediate: true },
  )

  const count = computed(() => Math.min(MOST_SET, Math.max(1, Number(kept.value.count) || 1)))
  const locked = computed(() => kept.value.locked.slice(0, count.value))
  const wish = computed(() => ({
    limits: limitsOf(kept.value.form),
    // One is asked for also where all are locked: with it comes how many there are.
    count: Math.max(1, count.value - locked.value.length),
    seed: kept.value.seed,
    hardestLast: kept.value.hardestLast,
    without: [...(kept.value.notHad ? had.value : []), ...locked.value, ...kept.value.dropped],
  }))
  watchDebounced(wish, (now) => set(now), { debounce: 150, immediate: true, deep: true })
  const problems = computed(() =>
    [...new Set([...locked.value, ...(answer.value?.problems ?? [])])].slice(0, count.value),
  )

  /** Other limits, or others of the same: what is locked stays. */
  function renew(): void {
    kept.value.seed = crypto.getRandomValues(new Uint32Array(1))[0]! % 1_000_000
    kept.value.dropped = []
  }
  const lock = (problem: string, stays: boolean): void => {
    const others = kept.value.locked.filter((p) => p !== problem)
    kept.value.locked = stays ? [...others, problem] : others
  }
  function drop(problem: string): void {
    lock(problem, false)
    kept.value.dropped = [...kept.value.dropped, problem].slice(-MOST_SET)
  }
  function put(problem: string, instead: string): void {
    drop(instead)
    lock(problem, true)
  }
  return { kept, answer, problems, locked, renew, lock, drop, put }
}
