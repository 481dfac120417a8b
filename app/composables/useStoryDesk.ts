import { attempt } from '../../core/door'
import {
  STAGES,
  storyOutcome,
  tryJudged,
  workable,
  type OwnPlan,
  type Stage,
  type StageSays,
  type StoryEntry,
  type StoryWork,
  type ToldPlan,
} from '../../core/story/index'
import { request } from '../utils/request'
import type { Help } from '../../shared/levels'

interface OnDesk {
  readonly id: string
  readonly startedAt: string
  readonly plan: ToldPlan | OwnPlan
  readonly mode: StoryWork['mode']
  readonly entries: readonly StoryEntry[]
}
/** Of what has been given at each stage the latest, with what it says; nothing where it was shown. */
export interface Given {
  readonly given: string
  readonly says: StageSays | null
}

/** The story that is being worked; it stays in this browser until it is put away. */
export function useStoryDesk() {
  const desk = useLocalStorage<OnDesk | null>('sett.story-desk', null, {
    serializer: { read: (text) => JSON.parse(text) as OnDesk | null, write: (v) => JSON.stringify(v) },
  })
  const read = computed(() => {
    const on = desk.value
    if (!on) return null
    const made = attempt(() => workable(on.plan))
    return 'ok' in made ? made.ok : null
  })
  // What another version of Sett left, and this one cannot read, is put away.
  if (desk.value && (!read.value || !Array.isArray(desk.value.entries))) desk.value = null
  const story = computed(() => read.value)
  const mode = computed(() => desk.value?.mode ?? 'together')

  /** Stories that were begun and put away unsaved, the latest first; some of them are kept. */
  const away = useLocalStorage<OnDesk[]>('sett.stories-away', [])
  const MOST_AWAY = 8
  function putAway(): void {
    const on = desk.value
    if (on && on.entries.length > 0) away.value = [on, ...away.value].slice(0, MOST_AWAY)
    desk.value = null
  }
  function bringBack(): void {
    const [latest, ...others] = away.value
    if (!latest) return
    away.value = others
    desk.value = latest
  }
  function begin(plan: ToldPlan | OwnPlan, mode: StoryWork['mode']): void {
    putAway()
    desk.value = { id: crypto.randomUUID(), startedAt: new Date().toISOString(), plan, mode, entries: [] }
  }
  function enter(stage: Stage, given: string): void {
    const on = desk.value
    if (!on || on.entries.length >= 200) return
    const at = Math.max(0, Date.now() - Date.parse(on.startedAt))
    desk.value = { ...on, entries: [...on.entries, { at, stage, given }] }
  }
  /** What was given, kept with what it says; or why it cannot be read, and then nothing is kept. */
  function give(stage: Stage, given: string): StageSays | { readonly why: string } {
    if (!story.value) return { why: 'There is no story.' }
    const says = tryJudged(story.value, stage, given)
    if (!('why' in says)) enter(stage, given)
    return says
  }
  const latest = computed(() => {
    const now = new Map<Stage, Given>()
    for (const { stage, given } of desk.value?.entries ?? []) {
      const says = given === '' || !story.value ? null : tryJudged(story.value, stage, given)
      now.set(stage, { given, says: says && 'right' in says ? says : null })
    }
    return now
  })
  const work = computed((): StoryWork | null => {
    const on = desk.value
    if (!on || !story.value) return null
    return {
      format: 'sett-story',
      version: 1,
      story: on.plan,
      text: story.value.sentences.join(' '),
      mode: on.mode,
      entries: on.entries,
    }
  })
  const outcome = computed(() => {
    const now = work.value
    const came = now && attempt(() => storyOutcome(now))
    return came && 'ok' in came ? came.ok : null
  })
  async function save(learnerId: string, said: { right: boolean; help: Help; note: string }): Promise<void> {
    const on = desk.value
    if (!on || !work.value) return
    const trial = { id: on.id, learnerId, startedAt: on.startedAt, kind: 'story', ...said, work: work.value }
    await request('/api/trials', { method: 'POST', body: { trials: [trial] } })
    desk.value = null
  }
  /** The first stage at which nothing has been done yet, after one; none where all is done. */
  const openAfter = (stage: Stage | null): Stage | null => {
    const from = stage === null ? 0 : STAGES.indexOf(stage) + 1
    return STAGES.slice(from).find((s) => !latest.value.has(s)) ?? null
  }
  return { desk, story, mode, begin, putAway, away, bringBack, enter, give, latest, outcome, save, openAfter }
}
export type StoryDesk = ReturnType<typeof useStoryDesk>
