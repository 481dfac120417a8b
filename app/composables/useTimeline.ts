import type { Moment } from '../../shared/learners'
import type { Progress } from '../../shared/progress'
import type { RecordPage, RecordSummary } from '../../shared/listing'
import { request } from '../utils/request'

/** A day of somebody's timeline: what was tried, what was decided, which goals were set. */
export interface TimelineDay {
  readonly day: string
  readonly lines: readonly RecordSummary[]
  readonly decisions: Progress['decisions']
  readonly goals: Progress['goals']
}

/** One learner’s time: their days, the latest first, and the moments of work that were chosen to be shown. */
export function useTimeline() {
  const lines = shallowRef<readonly RecordSummary[]>([])
  const next = ref<string | null>(null)
  const progress = shallowRef<Pick<Progress, 'decisions' | 'goals'>>({ decisions: [], goals: [] })
  const moments = ref<readonly Moment[]>([])
  const trouble = ref('')
  const loaded = ref(false)
  let turn = 0
  async function load(learner: string | null, more = false): Promise<void> {
    const mine = (turn += 1)
    if (!learner) return
    try {
      const before = more && next.value ? `&before=${next.value}` : ''
      const [page, of, chosen] = await Promise.all([
        request<RecordPage>(`/api/records?learner=${learner}&limit=60${before}`),
        request<Progress>(`/api/progress?learner=${learner}`),
        request<readonly Moment[]>(`/api/moments?learner=${learner}`),
      ])
      if (mine !== turn) return
      lines.value = more ? [...lines.value, ...page.records] : page.records
      next.value = page.next
      progress.value = of
      moments.value = chosen
      trouble.value = ''
    } catch (error) {
      if (mine === turn) trouble.value = (error as Error).message
    }
    loaded.value = true
  }
  const days = computed<readonly TimelineDay[]>(() => {
    // What lies before the last line that is shown comes with the lines before it.
    const since = next.value === null ? '' : (lines.value.at(-1)?.day ?? '')
    const all = new Set([
      ...lines.value.map((l) => l.day),
      ...progress.value.decisions.map((d) => dayOf(d.madeAt)),
      ...progress.value.goals.map((g) => g.set),
    ])
    return [...all]
      .filter((day) => day >= since)
      .sort((a, b) => (a < b ? 1 : -1))
      .map((day) => ({
        day,
        lines: lines.value.filter((l) => l.startedAt.startsWith(day)),
        decisions: progress.value.decisions.filter((d) => d.madeAt.startsWith(day)),
        goals: progress.value.goals.filter((g) => g.set === day),
      }))
  })
  const chosen = (id: string): Moment | undefined => moments.value.find((m) => m.record === id)
  async function choose(id: string, word: string): Promise<void> {
    await request(`/api/moments/${id}`, { method: 'PUT', body: { word } })
    moments.value = [{ record: id, word }, ...moments.value.filter((m) => m.record !== id)]
  }
  async function letGo(id: string): Promise<void> {
    await request(`/api/moments/${id}`, { method: 'DELETE' })
    moments.value = moments.value.filter((m) => m.record !== id)
  }
  return { days, next, trouble, loaded, load, chosen, choose, letGo }
}
