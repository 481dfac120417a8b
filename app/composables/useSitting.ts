import type { Trial } from '../../shared/trials'
import type { Help } from '../../shared/levels'
import { DAY_MS } from '../../shared/days'
import { keepStrictly, tableKept } from '../utils/tableKept'

export const MOST_AT_TABLE = 8
interface Try {
  readonly id: string
  readonly learnerId: string
  readonly right: boolean
  readonly help: Help
  readonly at: number
}
export interface Sitting {
  readonly id: string
  readonly startedAt: number
  readonly learners: readonly string[]
  step: string
  asked: string
  material: string
  timed: boolean
  readonly counted: readonly string[]
  readonly tries: readonly Try[]
  readonly tallies: Readonly<Record<string, Readonly<Record<string, number>>>>
  readonly notes: Readonly<Record<string, string>>
  /** Identifiers of the notes that its end makes, so that an end that was cut off makes them once. */
  readonly noteIds: Readonly<Record<string, string>>
}
/** The longest that one try is taken to have lasted: a pause is no try. */
const LONGEST_TRY_MS = 10 * 60_000

const sitting = ref<Sitting | null>(null)
const STORE = 'sitting'
const KEY = 'now'
let known: Promise<void> | undefined
let windows: BroadcastChannel | undefined

const look = async (): Promise<void> => {
  sitting.value = ((await (await tableKept()).get(STORE, KEY)) as Sitting | undefined) ?? null
}
/** On disk when it is done, and told to other windows of this browser. */
async function keep(): Promise<void> {
  // As plain JSON: what Vue watches cannot be stored as it is.
  await keepStrictly(STORE, JSON.parse(JSON.stringify(sitting.value)), KEY)
  windows?.postMessage('changed')
}
/** Forgets the sitting where a learner who is erased is in it. */
export async function forgetSitting(learnerId: string): Promise<void> {
  await look()
  if (!JSON.stringify(sitting.value).includes(learnerId)) return
  sitting.value = null
  await keep()
}

/** A sitting at the table: up to eight learners, a tap for each try; it stays in this browser until it is ended. */
export function useSitting() {
  const queue = useTrialQueue()
  /** Done once what this browser keeps has been looked at. */
  known ??= look().then(() => {
    windows = new BroadcastChannel('sett-sitting')
    windows.onmessage = () => void look()
  })
  async function change(over: Partial<Sitting>): Promise<void> {
    if (!sitting.value) return
    sitting.value = { ...sitting.value, ...over }
    await keep()
  }
  async function begin(
    learners: readonly string[],
    of: Pick<Sitting, 'step' | 'asked' | 'material' | 'timed' | 'counted'>,
  ): Promise<void> {
    const here = learners.slice(0, MOST_AT_TABLE)
    sitting.value = {
      ...of,
      id: crypto.randomUUID(),
      startedAt: Date.now(),
      learners: here,
      tries: [],
      tallies: {},
      notes: {},
      noteIds: Object.fromEntries(here.map((id) => [id, crypto.randomUUID()])),
    }
    await keep()
  }
  /** The trial of one tap, kept before anything else happens. */
  async function note(learnerId: string, right: boolean, help: Help): Promise<void> {
    const now = sitting.value
    if (!now) return
    const at = Date.now()
    const before = now.tries.findLast((t) => t.learnerId === learnerId)?.at ?? now.startedAt
    const one: Try = { id: crypto.randomUUID(), learnerId, right, help, at }
    const kept = change({ tries: [...now.tries, one] })
    const trial: Trial = {
      id: one.id,
      learnerId,
      startedAt: new Date(at).toISOString(),
      kind: 'table',
      help,
      right,
      note: '',
      work: {
        format: 'sett-trial',
        version: 1,
        sitting: now.id,
        step: now.step,
        asked: now.asked,
        material: now.material as '',
        ms: now.timed ? Math.min(LONGEST_TRY_MS, at - before) : 0,
      },
    }
    await Promise.all([kept, queue.add(trial)])
  }
  /** Takes back the last try, of one learner or of all; null where there is none. */
  async function undo(learnerId?: string): Promise<Try | null> {
    const last = sitting.value?.tries.findLast((t) => learnerId === undefined || t.learnerId === learnerId)
    if (!last || !sitting.value) return null
    await queue.takeBack(last.id)
    await change({ tries: sitting.value.tries.filter((t) => t.id !== last.id) })
    return last
  }
  async function count(learnerId: string, name: string, by: number): Promise<void> {
    const tallies = sitting.value?.tallies ?? {}
    const mine = tallies[learnerId] ?? {}
    await change({ tallies: { ...tallies, [learnerId]: { ...mine, [name]: Math.max(0, (mine[name] ?? 0) + by) } } })
  }
  /** Ends it: what was counted and noted of each is kept as a note of the sitting. */
  async function end(): Promise<void> {
    const now = sitting.value
    if (!now) return
    const ms = Date.now() - now.startedAt
    for (const learnerId of now.learners) {
      const tallies = Object.entries(now.tallies[learnerId] ?? {}).flatMap(([name, n]) =>
        n > 0 ? [{ name, count: n }] : [],
      )
      const text = (now.notes[learnerId] ?? '').trim()
      if (tallies.length === 0 && text === '') continue
      await queue.add({
        id: now.noteIds[learnerId]!,
        learnerId,
        startedAt: new Date(now.startedAt).toISOString(),
        kind: 'note',
        help: 'independent',
        right: false,
        note: text.slice(0, 2000),
        work: { format: 'sett-note', version: 1, sitting: now.id, ms: Math.min(ms, DAY_MS), tallies },
      })
    }
    sitting.value = null
    await keep()
  }
  return { sitting, known, queue, begin, change, note, undo, count, end }
}
