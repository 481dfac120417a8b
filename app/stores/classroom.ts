import { defineStore } from 'pinia'
import { WORD_SETS, type Words } from '../../core/door'
import { zoneHere } from '../../shared/days'
import type { KeptLearner } from '../../shared/learners'
import type { Classroom, NewLearner } from '../../shared/schemas'
import { roomAnswer } from '../utils/firstRoom'
import { fetchSpanish } from '../utils/languages'
import { request } from '../utils/request'

/** The room, its word pack and its learners, as the server keeps them. */
export const useClassroom = defineStore('classroom', () => {
  const loaded = ref(false)
  const classroom = ref<Classroom | null>(null)
  /** The school's time zone, by which everything has its day; until it is known, this computer's. */
  const zone = ref(zoneHere())
  const everyone = ref<readonly KeptLearner[]>([])
  /** Those who come; whoever is put away is among `everyone` only. */
  const learners = computed(() => everyone.value.filter((l) => !l.archived))
  const groups = computed(() =>
    [...new Set(learners.value.flatMap((l) => l.groups))].sort((a, b) => a.localeCompare(b)),
  )
  const learnerId = useLocalStorage<string | null>('sett.learner', 'first')

  const learner = computed(() => learners.value.find((l) => l.id === learnerId.value) ?? null)
  /** The room's words and hands, with what differs for whoever is at the bench. */
  const spoken = computed<Words>(() => learner.value?.choices.words ?? classroom.value?.words ?? WORD_SETS.exchange)
  /** The same words in English, as every place but the Bench has them. */
  const words = computed<Words>(() => {
    const { language: _, ...english } = spoken.value
    return english
  })
  const hands = computed(
    () => classroom.value && { ...toRaw(classroom.value.hands), ...toRaw(learner.value?.choices.hands) },
  )

  async function load(): Promise<void> {
    const answer = await roomAnswer()
    // What lies on the Bench is told as soon as it opens, so a language of the room comes before it; without it English is spoken.
    const all = [answer.classroom?.words, ...answer.learners.map((l) => l.choices.words)]
    if (all.some((w) => w?.language === 'es')) await fetchSpanish().catch(() => undefined)
    classroom.value = answer.classroom
    everyone.value = answer.learners
    zone.value = answer.zone ?? zone.value
    // The first time, the first of the class is at the bench; later whoever was chosen, or nobody.
    if (!learner.value) learnerId.value = (learnerId.value === 'first' && learners.value[0]?.id) || null
    loaded.value = true
  }

  async function setRoom(room: Classroom & { readonly zone?: string }): Promise<void> {
    // The first time the school's zone is that of this computer; after that it is changed only where somebody says so.
    const first = classroom.value === null ? { zone: zoneHere() } : {}
    const kept = await request<Classroom & { zone: string }>('/api/classroom', {
      method: 'PUT',
      body: { ...room, ...first },
    })
    const { zone: now, ...there } = kept
    zone.value = now
    classroom.value = there
  }

  async function addLearner(codeName: string): Promise<NewLearner> {
    const added = await request<NewLearner>('/api/learners', {
      method: 'POST',
      body: { id: crypto.randomUUID(), codeName },
    })
    await load()
    return added
  }

  /** Changes a learner. @throws ServerRefusal where somebody has changed them since. */
  async function keepLearner(sent: KeptLearner): Promise<KeptLearner> {
    const kept = await request<KeptLearner>(`/api/learners/${sent.id}`, { method: 'PUT', body: sent })
    everyone.value = everyone.value.map((l) => (l.id === kept.id ? kept : l))
    return kept
  }

  const nameOf = (id: string): string => everyone.value.find((l) => l.id === id)?.codeName ?? ''

  return {
    loaded,
    classroom,
    zone,
    everyone,
    learners,
    groups,
    learnerId,
    learner,
    spoken,
    words,
    hands,
    load,
    setRoom,
    addLearner,
    keepLearner,
    nameOf,
  }
})
