import { answerKey, ANSWERS_A_PAGE } from '../../shared/limits'
import type { KeptAnswer } from '../../shared/schemas'
import { request } from '../utils/request'
import { isRefusedForGood } from '../utils/sending'

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
      const found: KeptAnswer[] = []
      for (let more = true; more;) {
        const last = found.at(-1)
        const after = last ? `&after=${answerKey(last)}` : ''
        const page = await request<KeptAnswer[]>(`/api/rehearsals?of=${encodeURIComponent(person)}${after}`)
        if (person !== who.value) return
        found.push(...page)
        more = page.length === ANSWERS_A_PAGE
      }
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
    trouble.value = ''
    for (let next = unkept.value[0]; next; next = unkept.value[0]) {
      const error = await sent(next)
      // What the server will never take (its learner has been deleted, say) does not hold up the others.
      const never = error !== null && isRefusedForGood(error)
      if (error)
        trouble.value = `${error.message} ${never ? 'That answer was not kept.' : 'The answer is held here and kept with the next one.'}`
      if (error && !never) break
      unkept.value = unkept.value.slice(1)
    }
    sending = false
  }
  const sent = (answer: Omit<KeptAnswer, 'right'>): Promise<Error | null> =>
    request('/api/rehearsals', { method: 'POST', body: answer }).then(
      () => null,
      (error: Error) => error,
    )
  if (unkept.value.length > 0) void send()

  async function forget(): Promise<void> {
    try {
      await request(`/api/rehearsals?of=${encodeURIComponent(who.value)}`, { method: 'DELETE' })
      answers.value = []
    } catch (error) {
      trouble.value = (error as Error).message
    }
  }
  return { answers, trouble, read, keep, forget }
}
