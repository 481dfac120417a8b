import { defineStore } from 'pinia'
import { WORD_SETS } from '../../core/door'
import type { Classroom, Learner } from '../../shared/schemas'
import { roomAnswer } from '../utils/firstRoom'
import { request } from '../utils/request'

/** The room, its word pack and its learners, as the server keeps them. */
export const useClassroom = defineStore('classroom', () => {
  const loaded = ref(false)
  const classroom = ref<Classroom | null>(null)
  const learners = ref<readonly Learner[]>([])
  const learnerId = useLocalStorage<string | null>('sett.learner', 'first')

  const learner = computed(() => learners.value.find((l) => l.id === learnerId.value) ?? null)
  const words = computed(() => classroom.value?.words ?? WORD_SETS.exchange)

  async function load(): Promise<void> {
    const answer = await roomAnswer()
    classroom.value = answer.classroom
    learners.value = answer.learners
    // The first time, the first of the class is at the bench; later whoever was chosen, or nobody.
    if (!learner.value) learnerId.value = (learnerId.value === 'first' && learners.value[0]?.id) || null
    loaded.value = true
  }

  async function setRoom(room: Classroom): Promise<void> {
    classroom.value = await request<Classroom>('/api/classroom', { method: 'PUT', body: room })
  }

  async function addLearner(codeName: string): Promise<Learner> {
    const added = await request<Learner>('/api/learners', {
      method: 'POST',
      body: { id: crypto.randomUUID(), codeName },
    })
    await load()
    return added
  }

  const nameOf = (id: string): string => learners.value.find((l) => l.id === id)?.codeName ?? ''

  return { loaded, classroom, learners, learnerId, learner, words, load, setRoom, addLearner, nameOf }
})
