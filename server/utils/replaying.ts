import { isDeepStrictEqual } from 'node:util'
import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'
import type { WorkRecord } from '../../core/index'
import type { SavedRecord } from '../../shared/schemas'
import { type Found, read, replaying, type Sent } from '../aside/replay'
import type { Done, Job } from '../aside/replayThread'
import { builtFile } from './aside'
import { isSameWork, type Standing } from './mayKeep'
import { others } from './progress'

export { isTrouble, type Found, type Replayed } from '../aside/replay'

/**
 * Whether records can be worked as they say: found by working them again, in threads that are kept. Work is bounded by counted steps, the
 * same on every machine; a clock only says when to let others in.
 */

/** So many steps are made while somebody waits for an answer; what takes more is kept and looked through later. */
export const STEPS_AT_ONCE = 3000

interface Thread {
  readonly worker: Worker
  /** What is waited for from it. */
  readonly open: Map<number, (made: Sent | Found | null) => void>
  /** What goes to it at the end of this turn, all in one message: waking a thread costs more than what is said. */
  readonly post: Job[]
}

let threads: Thread[] = []
let jobs = 0

/** Starts a thread; one that breaks is replaced, and whoever waits for it is told. */
function begun(file: URL, at: number): Thread {
  const worker = new Worker(file)
  const open: Thread['open'] = new Map()
  worker.on('message', (all: readonly Done[]) => {
    for (const { job, made } of all) {
      open.get(job)?.(made)
      open.delete(job)
    }
    if (open.size === 0) worker.unref()
  })
  worker.once('error', (error) => {
    console.error(error)
    threads[at] = begun(file, at)
    for (const tell of open.values()) tell(null)
    open.clear()
  })
  worker.unref()
  return { worker, open, post: [] }
}

/** Which thread had a record last: it has the bench of it, if the record is saved again. */
const hadBy = new Map<string, Thread>()
const MOST_HAD = 200

/** The thread for a piece of work: the one that had it before, or the one with least to do. */
function threadFor(file: URL, name: string | null): Thread {
  if (threads.length === 0) threads = Array.from({ length: availableParallelism() }, (_, at) => begun(file, at))
  const had = name === null ? undefined : hadBy.get(name)
  const thread = had && threads.includes(had) ? had : threads.reduce((l, t) => (t.open.size < l.open.size ? t : l))
  if (name !== null) {
    hadBy.delete(name)
    hadBy.set(name, thread)
    const [oldest] = hadBy.keys()
    if (hadBy.size > MOST_HAD && oldest !== undefined) hadBy.delete(oldest)
  }
  return thread
}

type Wanted = { readonly text: string; readonly most: number } | { readonly work: WorkRecord }

/** @throws Error where the thread broke. */
function inThread<T extends Sent | Found>({ worker, open, post }: Thread, wanted: Wanted): Promise<T> {
  return new Promise((done, failed) => {
    const job = (jobs += 1)
    open.set(job, (made) => (made ? done(made as T) : failed(new Error('The thread that works records again broke.'))))
    if (post.length === 0) setImmediate(() => worker.postMessage(post.splice(0)))
    post.push({ ...wanted, job } satisfies Job)
    worker.ref()
  })
}

/** As long as one piece of work may keep others waiting in this process, in milliseconds. */
const SLICE_MS = 12

/** Replays in this process, where there are no threads: from the command line and in tests. */
async function here(work: WorkRecord): Promise<Found> {
  const moves = replaying({ id: null, work })
  for (;;) {
    const from = performance.now()
    do {
      const { done, value } = moves.next()
      if (done) return value
    } while (performance.now() - from < SLICE_MS)
    await others()
  }
}

/** The identifier in a record's text, as far as it can be told without reading it: only so that it comes to the same thread again. */
const nameIn = (text: string): string | null => /"id"\s*:\s*"([0-9a-f-]{36})"/i.exec(text)?.[1] ?? null

/** Records that are being read; whoever is saved meanwhile waits for those that came before (server/utils/saving.ts). */
let reading = 0
export const beingRead = (): number => reading
let whenRead: () => void = () => {}
/** Says what is to be done each time that a record has been read and whoever sent it has gone on. */
export const onRead = (then: () => void): void => void (whenRead = then)

/** Reads a record that was sent, as text, and looks it through as far as that can be done at once. @throws Error where the thread broke. */
export async function readSent(text: string): Promise<Sent> {
  const file = builtFile('replays.mjs')
  if (!file) return read(text, STEPS_AT_ONCE)
  reading += 1
  try {
    return await inThread<Sent>(threadFor(file, nameIn(text)), { text, most: STEPS_AT_ONCE })
  } finally {
    reading -= 1
    setImmediate(whenRead)
  }
}

/** Looks a record through, however many steps it takes. @throws Error where the thread broke. */
export function replayed(work: WorkRecord): Promise<Found> {
  const file = builtFile('replays.mjs')
  return file ? inThread<Found>(threadFor(file, null), { work }) : here(work)
}

/** How what is to be saved stands to what is kept under the same id. */
export function standsTo(kept: SavedRecord, sent: SavedRecord): Standing {
  if (!isSameWork(kept, sent)) return 'other'
  const { moves: had, ...before } = kept.work
  const { moves: has, ...now } = sent.work
  if (!isDeepStrictEqual(before, now) || !isDeepStrictEqual(had, has.slice(0, had.length))) return 'other'
  const alike = has.length === had.length && isDeepStrictEqual(kept.outcome, sent.outcome)
  return alike ? 'same' : 'newer'
}
