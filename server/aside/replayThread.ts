import { parentPort } from 'node:worker_threads'
import type { WorkRecord } from '../../core/index'
import { others } from '../utils/progress'
import { goneOn, read, replaying, type Found, type Sent } from './replay'

/** A thread that works records again, as long as the server runs. What somebody waits for comes first, in the order in which it came. */

/** A record that was sent, as text, to be read and looked through within so many steps; or work to be replayed however long it takes. */
export type Job =
  | { readonly job: number; readonly text: string; readonly most: number }
  | { readonly job: number; readonly work: WorkRecord }
/** What became of it. */
export interface Done {
  readonly job: number
  readonly made: Sent | Found
}

/** So many steps of what nobody waits for are made before looking whether somebody has come: some milliseconds. */
const A_TURN = 200

const port = parentPort!
const waited: Extract<Job, { text: string }>[] = []
const unhurried: { readonly job: number; readonly replay: Generator<number, Found, void> }[] = []
let isAtWork = false

port.on('message', (jobs: readonly Job[]) => {
  for (const job of jobs)
    if ('text' in job) waited.push(job)
    else unhurried.push({ job: job.job, replay: replaying({ id: null, work: job.work }) })
  if (!isAtWork) void work()
})

/** What is done and not told yet; it is told in one message as soon as nobody else waits, or some have come together. */
let made: Done[] = []
const TOLD_AT_ONCE = 4
function say(done: Done): void {
  made.push(done)
  if (waited.length > 0 && made.length < TOLD_AT_ONCE) return
  port.postMessage(made)
  made = []
}

async function work(): Promise<void> {
  isAtWork = true
  for (;;) {
    const job = waited.shift()
    if (job) say({ job: job.job, made: read(job.text, job.most) })
    else {
      const [first] = unhurried
      if (!first) break
      const found = goneOn(first.replay, A_TURN)
      if (found) {
        unhurried.shift()
        say({ job: first.job, made: found })
      }
    }
    if (waited.length === 0) await others()
  }
  isAtWork = false
}
