import type { Lesson } from '../../shared/lessons'
import { request } from '../utils/request'

/**
 * One lesson: each change is saved by itself, from the version before it. What is not saved yet stays in this browser, so that nothing is
 * lost where the server is away; what somebody else has changed meanwhile is never written over unasked.
 */
export function useLesson(id: () => string) {
  const lesson = shallowRef<Lesson | null>(null)
  const { trouble, tried } = useTrouble()
  const state = ref<'' | 'saving' | 'saved'>('')
  /** What was changed here when somebody else had changed the lesson already: it may still take the place of theirs. */
  const overtaken = shallowRef<Lesson | null>(null)
  const unsaved = useLocalStorage<Record<string, Lesson>>('sett.lessons', {})
  function forget(of: string): void {
    const { [of]: _, ...rest } = unsaved.value
    unsaved.value = rest
  }

  async function open(): Promise<void> {
    lesson.value = null
    if (id() === 'new') return
    const mine = unsaved.value[id()]
    const there = await request<Lesson>(`/api/lessons/${id()}`).catch((error: Error) => {
      if (mine) return null
      throw error
    })
    const isWhole = mine && Array.isArray(mine.turns) && Array.isArray(mine.learners)
    const isNewer = isWhole && mine.version >= (there?.version ?? 0)
    lesson.value = isNewer ? mine : there
    overtaken.value = isWhole && !isNewer ? mine : null
    if (isNewer) await save()
  }

  let saving: Promise<void> = Promise.resolve()
  /** Saves what stands now, after what is being saved. */
  function save(): Promise<void> {
    saving = saving.then(() =>
      tried(async () => {
        const now = lesson.value
        if (!now || !unsaved.value[now.id]) return
        const saved = await request<Lesson>(`/api/lessons/${now.id}`, { method: 'PUT', body: now })
        // What was changed in the meantime is saved next, from this version.
        lesson.value = lesson.value === now ? saved : { ...lesson.value!, version: saved.version }
        if (lesson.value === saved) {
          forget(now.id)
          state.value = 'saved'
        } else unsaved.value = { ...unsaved.value, [now.id]: lesson.value }
      }),
    )
    return saving
  }
  const saveSoon = useDebounceFn(save, 600)
  function put(now: Lesson): void {
    lesson.value = now
    unsaved.value = { ...unsaved.value, [now.id]: now }
    state.value = 'saving'
  }
  function change(now: Lesson): void {
    put(now)
    void saveSoon()
  }
  function takeMine(): void {
    const mine = overtaken.value
    overtaken.value = null
    if (mine && lesson.value) change({ ...mine, version: lesson.value.version })
  }
  function leaveTheirs(): void {
    overtaken.value = null
    forget(id())
  }
  const remove = async (): Promise<void> => {
    forget(id())
    await request(`/api/lessons/${id()}`, { method: 'DELETE' })
  }
  return { lesson, state, trouble, tried, overtaken, open, save, put, change, takeMine, leaveTheirs, remove }
}
