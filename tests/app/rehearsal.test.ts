import { ref } from 'vue'
import { openWindow, serverSays, stored } from './nuxt'
import { useRehearsal } from '../../app/composables/useRehearsal'
import { answerKey, ANSWERS_A_PAGE } from '../../shared/limits'
import type { KeptAnswer } from '../../shared/schemas'

const answer = (n: number, learnerId: string | null = null): KeptAnswer => ({
  id: `3f0e0000-0000-4000-8000-${String(n).padStart(12, '0')}`,
  learnerId,
  at: 1_790_000_000_000 + n,
  item: 'rule 6+7',
  given: 'mixed',
  ms: 2000,
  right: true,
})
/** Lets everything that waits for the server go on. */
const settled = async (): Promise<void> => {
  for (let i = 0; i < 20; i++) await Promise.resolve()
  await new Promise((next) => setImmediate(next))
}

beforeEach(() => {
  stored.clear()
  openWindow()
})

test('the answers of a person are read, and each new one is sent without its verdict, which the server finds', async () => {
  const asked = serverSays([answer(1)], answer(2))
  const { answers, keep } = useRehearsal(ref('teacher'))
  await settled()
  expect(answers.value).toEqual([answer(1)])
  await keep(answer(2))
  expect(answers.value.map((a) => a.id)).toEqual([answer(1).id, answer(2).id])
  expect(asked.map((a) => a.url)).toEqual(['/api/rehearsals?of=teacher', '/api/rehearsals'])
  const { right: _, ...sent } = answer(2)
  expect(asked[1]!.body).toEqual(sent)
})

test('answers are read a page at a time until there are no more', async () => {
  const full = Array.from({ length: ANSWERS_A_PAGE }, (_, i) => answer(i + 1))
  const asked = serverSays(full, [answer(9_999)])
  const { answers } = useRehearsal(ref('teacher'))
  await settled()
  await settled()
  expect(answers.value).toHaveLength(ANSWERS_A_PAGE + 1)
  expect(asked[1]!.url).toBe(`/api/rehearsals?of=teacher&after=${answerKey(full.at(-1)!)}`)
})

test('an answer that the server does not take is held, said so, and kept with the next one, in order', async () => {
  serverSays([], new TypeError('gone'))
  const { keep, trouble } = useRehearsal(ref('teacher'))
  await settled()
  await keep(answer(1))
  expect(trouble.value).toContain('held here and kept with the next one')
  const asked = serverSays({}, {})
  await keep(answer(2))
  expect(asked.map((a) => (a.body as KeptAnswer).id)).toEqual([answer(1).id, answer(2).id])
  expect(trouble.value).toBe('')
})

test('a held answer outlives the window, and is sent when the next one opens', async () => {
  serverSays([], new TypeError('gone'))
  const first = useRehearsal(ref('teacher'))
  await settled()
  await first.keep(answer(1))
  const asked = serverSays([], {})
  useRehearsal(ref('teacher'))
  await settled()
  expect(asked.filter((a) => a.url === '/api/rehearsals').map((a) => (a.body as KeptAnswer).id)).toEqual([answer(1).id])
  expect(stored.get('sett.unkept')).toBe('[]')
})

test('an answer that the server will never take does not hold up the others', async () => {
  serverSays([], new TypeError('gone'))
  const { keep, trouble } = useRehearsal(ref('w'))
  await settled()
  await keep(answer(1, 'w'))
  const refused = new Response(JSON.stringify({ detail: 'There is no such learner to keep this for.' }), {
    status: 422,
  })
  const asked = serverSays(refused, {})
  await keep(answer(2))
  expect(asked).toHaveLength(2)
  expect(trouble.value).toBe('There is no such learner to keep this for. That answer was not kept.')
  expect(stored.get('sett.unkept')).toBe('[]')
})

test('another person’s answers take their place; an answer given while they were being read stays', async () => {
  serverSays([answer(1)])
  const who = ref('teacher')
  const { answers, keep } = useRehearsal(who)
  await settled()
  serverSays([answer(3, 'w')], {})
  who.value = 'w'
  await Promise.resolve()
  expect(answers.value).toEqual([])
  await keep(answer(4, 'w'))
  await settled()
  expect(answers.value.map((a) => a.id)).toEqual([answer(3).id, answer(4).id])
})

test('forgetting asks the server first; where it does not answer, nothing is gone', async () => {
  serverSays([answer(1)])
  const { answers, trouble, forget } = useRehearsal(ref('teacher'))
  await settled()
  serverSays(new TypeError('gone'))
  await forget()
  expect(trouble.value).toContain('does not answer')
  expect(answers.value).toHaveLength(1)
  const asked = serverSays({})
  await forget()
  expect(asked[0]!.url).toBe('/api/rehearsals?of=teacher')
  expect(answers.value).toEqual([])
})
