import type { KeptAnswer } from '../../shared/schemas'
import { request } from '../utils/request'

/** The answers of one person, the teacher or a learner: read when the person changes, and each kept as it is given. */
export function useRehearsal(who: Ref<string>) {
  const answers = shallowRef<readonly KeptAnswer[]>([])
  const trouble = ref('')
  /** What could not be kept yet, also over a closed lid; it is tried again with the next answer. */
  const unkept = useLocalStorage<Omit<KeptAnswer, 'right'>[]>('sett.unkept', [])
  let sending = false

  async function read(): Promise<void> {
    const person = who.value
    try {
      const found = await request<KeptAnswer[]>(`/api/rehearsals?of=${encodeURIComponent(person)}`)
      if (person !== who.value) return
      // An answer given while the others were being read is not among them yet.
      const known = new Set(found.map((a) => a.id))
      answers.value = [...found, ...answers.value.filter((a) => !known.has(a.id))]
    } catch (error) {
      trouble.value = (error as Error).message
    }
  }
  watch(
    who,
    () => {
      answers.value = []
      void read()
    },
    { immediate: true },
  )

  async function keep(answer: KeptAnswer): Promise<void> {
    answers.value = [...answers.value, answer]
    const { right: _, ...sent } = answer
    unkept.value = [...unkept.value, sent]
    await send()
  }

  async function send(): Promise<void> {
    if (sending) return
    sending = true
    try {
      for (let next = unkept.value[0]; next; next = unkept.value[0]) {
        await request('/api/rehearsals', { method: 'POST', body: next })
        unkept.value = unkept.value.slice(1)
      }
      trouble.value = ''
    } catch (error) {
      trouble.value = `${(error as Error).message} The answer is held here and kept with the next one.`
    }
    sending = false
  }
  if (unkept.value.length > 0) void send()

  async function forget(): Promise<void> {
    await request(`/api/rehearsals?of=${encodeURIComponent(who.value)}`, { method: 'DELETE' })
    answers.value = []
  }
  return { answers, trouble, read, keep, forget }
}
