import { attempt } from '../../core/door'
import { tryJudged, workable, type StoryWork } from '../../core/story/index'
import type { Trial } from '../../shared/trials'
import { request } from '../utils/request'

/** A worked story from the Daybook, to be read again. */
export function useOpenedStory(id: string | null) {
  const trial = shallowRef<Trial | null>(null)
  const trouble = ref('')
  async function load(): Promise<void> {
    if (id === null) return
    try {
      trial.value = await request<Trial>(`/api/trials/${encodeURIComponent(id)}`)
    } catch (error) {
      trouble.value = (error as Error).message
    }
  }
  const work = computed(() => (trial.value?.kind === 'story' ? (trial.value.work as StoryWork) : null))
  const story = computed(() => {
    const of = work.value
    const made = of && attempt(() => workable(of.story))
    return made && 'ok' in made ? made.ok : null
  })
  /** Everything that was given, in its order, with what it says. */
  const steps = computed(() =>
    (work.value?.entries ?? []).map((entry) => {
      const says = story.value && entry.given !== '' ? tryJudged(story.value, entry.stage, entry.given) : null
      return { ...entry, says: says && 'right' in says ? says : null }
    }),
  )
  return { id, trial, trouble, work, story, steps, load }
}
export type OpenedStory = ReturnType<typeof useOpenedStory>
