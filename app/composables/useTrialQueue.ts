import type { Trial } from '../../shared/trials'
import { request } from '../utils/request'
import { sendAll } from '../utils/sending'
import { keepStrictly, tableKept as db, type Waiting } from '../utils/tableKept'

/**
 * Trials on their way to the server. Each is kept in this browser first (IndexedDB) and leaves it when the server has said that it is on
 * disk; sent again, it is the same one, so nothing is lost and nothing comes twice, however the connection is.
 */
const STORE = 'trials'
export const TRIES_WAIT = 'sett.tries-wait'
/** As long as a tap can be taken back before it is sent, in milliseconds. */
const HELD_MS = 4000
const MOST_AT_ONCE = 100
const EVERY_MS = 3000

const waiting = ref<readonly Waiting[]>([])
const trouble = ref('')
let sending: Promise<void> | undefined
let started = false

async function look(): Promise<void> {
  waiting.value = await (await db()).getAll(STORE)
  // So that the next start knows, on whatever page it begins (plugins/tries.client.ts).
  localStorage.setItem(TRIES_WAIT, waiting.value.length > 0 ? 'yes' : '')
}
async function tryAgain(): Promise<void> {
  const store = await db()
  for (const { refused: _, ...one } of await store.getAll(STORE)) await store.put(STORE, one)
  await look()
}
async function send(now = Date.now()): Promise<void> {
  const due = waiting.value.filter((w) => w.after <= now && !w.refused).slice(0, MOST_AT_ONCE)
  if (due.length === 0) return
  const store = await db()
  trouble.value = await sendAll(due, {
    post: (some) => request('/api/trials', { method: 'POST', body: { trials: some.map((w) => w.trial) } }),
    sent: ({ id }) => store.delete(STORE, id),
    refused: (one, why) => store.put(STORE, { ...one, refused: why }),
  })
  await look()
}

export function useTrialQueue() {
  /** Sends what is due, one round after another. */
  const flush = (): Promise<void> => (sending ??= send().finally(() => (sending = undefined)))
  async function add(trial: Trial): Promise<void> {
    localStorage.setItem(TRIES_WAIT, 'yes')
    await keepStrictly(STORE, { id: trial.id, trial: toRaw(trial), after: Date.now() + HELD_MS })
    await look()
  }
  /** Takes back what has not been sent; what is at the server already is deleted there. */
  async function takeBack(id: string): Promise<void> {
    await sending
    const store = await db()
    if (await store.get(STORE, id)) await store.delete(STORE, id)
    else await request(`/api/trials/${id}`, { method: 'DELETE' })
    await look()
  }
  const dismiss = async (id: string): Promise<void> => {
    await (await db()).delete(STORE, id)
    await look()
  }
  /** What waits of a learner who is erased is not sent any more. */
  async function forget(learnerId: string): Promise<void> {
    for (const { id, trial } of waiting.value) if (trial.learnerId === learnerId) await (await db()).delete(STORE, id)
    await look()
  }
  if (!started) {
    started = true
    // What an earlier version gave up because it could not go at once is sent once more.
    void tryAgain().then(flush)
    setInterval(() => void flush(), EVERY_MS)
    addEventListener('online', () => void flush())
  }
  return {
    waiting: readonly(waiting),
    refused: computed(() => waiting.value.filter((w) => w.refused)),
    trouble: readonly(trouble),
    add,
    takeBack,
    dismiss,
    forget,
    flush,
  }
}
