import {
  aimLine,
  daysNotSeen,
  sessionsToward,
  slipsByWeek,
  suggest,
  theilSen,
  toldOfProgress,
  toldOfSeen,
  type Suggestion,
} from '../../core/progress/index'
import {
  KEPT_RULES_AT_FIRST,
  type Decision,
  type KeptGoal,
  type KeptRules,
  type Progress,
  type TriedAt,
} from '../../shared/progress'
import { WEEK_MS } from '../../shared/days'
import { request } from '../utils/request'

/** The last four weeks, today among them. */
const FOUR_WEEKS = 27
const EMPTY: Progress = { tried: [], slips: [], goals: [], decisions: [], steps: [], places: [], seen: [] }
/** A suggestion put off comes again after so long. */
const PUT_OFF_MS = WEEK_MS

/** What a learner tried, of one step or of all: sessions, their trend, the goal, and what follows by the rules. */
export function useProgress() {
  const known = shallowRef<Progress>(EMPTY)
  const trouble = ref('')
  const loaded = ref(false)
  const step = ref('')
  /** Only what was tried there; empty for all. */
  const at = ref<TriedAt | ''>('')
  const rules = ref<KeptRules>(KEPT_RULES_AT_FIRST)
  const loadRules = async (): Promise<void> => {
    rules.value = await request<KeptRules>('/api/rules').catch(() => KEPT_RULES_AT_FIRST)
  }
  /** @throws ServerRefusal where somebody has changed them since. */
  async function keepRules(change: Partial<KeptRules>): Promise<void> {
    rules.value = await request<KeptRules>('/api/rules', { method: 'PUT', body: { ...rules.value, ...change } })
  }
  let turn = 0
  async function load(learner: string | null): Promise<void> {
    const mine = (turn += 1)
    if (!learner) {
      known.value = EMPTY
      loaded.value = true
      return
    }
    try {
      const of = new URLSearchParams({
        learner,
        ...(step.value ? { step: step.value } : {}),
        ...(at.value ? { at: at.value } : {}),
      })
      const found = await request<Progress>(`/api/progress?${of}`)
      if (mine !== turn) return
      known.value = found
      trouble.value = ''
    } catch (error) {
      if (mine === turn) trouble.value = (error as Error).message
    }
    loaded.value = true
  }
  const goal = computed(() => known.value.goals.find((g) => !g.archived && g.step === step.value))
  const sessions = computed(() => sessionsToward(known.value.tried, goal.value))
  /** Days with tries enough to be compared. */
  const enough = computed(() => sessions.value.filter((s) => s.tried >= rules.value.leastTrials))
  const seen = computed(() => {
    return toldOfSeen(daysNotSeen(known.value.seen, today(-FOUR_WEEKS), today()), dayInWords)
  })
  const slipWeeks = computed(() => slipsByWeek(known.value.slips))
  const trend = computed(() => {
    const [first] = sessions.value
    if (!first) return undefined
    const start = Date.parse(first.day)
    return theilSen(enough.value.map((s) => ({ x: (Date.parse(s.day) - start) / WEEK_MS, y: s.share })))
  })
  const aim = computed(() => goal.value && aimLine(enough.value, goal.value))
  const slips = computed(() => {
    const days = new Set(sessions.value.slice(-3).map((s) => s.day))
    const counts = new Map<string, number>()
    for (const { slip, day, count } of known.value.slips)
      if (days.has(day)) counts.set(slip, (counts.get(slip) ?? 0) + count)
    return [...counts].map(([slip, count]) => ({ slip, count }))
  })
  const decidedOf = (s: Suggestion): Decision | undefined =>
    known.value.decisions.find(
      (d) =>
        d.kind === s.kind &&
        d.step === step.value &&
        d.figures === figuresOf(s) &&
        (d.answer !== 'later' || Date.now() - Date.parse(d.madeAt) < PUT_OFF_MS),
    )
  /** The rule with the figures it goes by, in words. */
  const figuresOf = (s: Suggestion): string =>
    [s.rule, s.sessions.map((x) => `${x.alone} of ${x.tried} on ${dayInWords(x.day)}`).join(', ')]
      .filter((part) => part !== '')
      .join(': ')
      .slice(0, 600)
  const suggestions = computed(() =>
    suggest({
      sessions: sessions.value,
      ...(goal.value ? { goal: goal.value } : {}),
      slips: slips.value,
      rules: rules.value,
      today: today(),
    }).map((s) => ({ ...s, figures: figuresOf(s), decided: decidedOf(s) })),
  )
  const told = computed(() => toldOfProgress(sessions.value, trend.value, rules.value.leastTrials))
  async function decide(learnerId: string, s: Suggestion, answer: Decision['answer'], word: string): Promise<void> {
    const decision: Decision = {
      id: crypto.randomUUID(),
      learnerId,
      madeAt: new Date().toISOString(),
      kind: s.kind,
      step: step.value,
      answer,
      word,
      figures: figuresOf(s),
    }
    await request('/api/decisions', { method: 'POST', body: decision })
    known.value = { ...known.value, decisions: [decision, ...known.value.decisions] }
  }
  async function keepGoal(sent: KeptGoal): Promise<void> {
    const kept = await request<KeptGoal>(`/api/goals/${sent.id}`, { method: 'PUT', body: sent })
    known.value = { ...known.value, goals: [...known.value.goals.filter((g) => g.id !== kept.id), kept] }
  }
  return {
    known,
    trouble,
    loaded,
    step,
    at,
    load,
    sessions,
    trend,
    goal,
    aim,
    suggestions,
    told,
    seen,
    slipWeeks,
    decide,
    keepGoal,
    rules,
    loadRules,
    keepRules,
  }
}
