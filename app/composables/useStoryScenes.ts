import { PEOPLE, SCENES, type Person, type Scene } from '../../core/story/index'
import { SCENES_AT_FIRST, type OwnScenes } from '../../shared/scenes'
import { request } from '../utils/request'

/** The scenes that stories are told in, and who is in them: Sett's, and those that the class has added. */
export function useStoryScenes() {
  const own = ref<OwnScenes>(SCENES_AT_FIRST)
  const trouble = ref('')
  const scenes = computed((): readonly Scene[] => [...(own.value.scenes as Scene[]), ...SCENES])
  const people = computed((): readonly Person[] =>
    own.value.people.length > 1 ? (own.value.people as Person[]) : PEOPLE,
  )
  async function load(): Promise<void> {
    try {
      own.value = await request<OwnScenes>('/api/scenes')
      trouble.value = ''
    } catch (error) {
      trouble.value = (error as Error).message
    }
  }
  /** Keeps what is changed; what somebody else has changed meanwhile is loaded, and nothing is lost without a word. */
  async function keep(change: Partial<Pick<OwnScenes, 'scenes' | 'people'>>): Promise<boolean> {
    try {
      own.value = await request<OwnScenes>('/api/scenes', { method: 'PUT', body: { ...own.value, ...change } })
      trouble.value = ''
      return true
    } catch (error) {
      trouble.value = (error as Error).message
      return false
    }
  }
  return { own, scenes, people, trouble, load, keep }
}
export type StoryScenes = ReturnType<typeof useStoryScenes>
