import type { H3Event } from 'h3'
import { problemOf } from './problem'

/** How often progress is told at the most, in milliseconds. */
const TOLD_MS = 200

/** Work that takes a while: how far it is, and whether whoever asked for it has gone away. */
export interface Long {
  /** Tells how far it is, and lets others be answered. @throws Stopped where nobody waits for it any more. */
  step(done: number, of: number): Promise<void>
  /** Aborted when nobody waits for it any more. */
  readonly signal: AbortSignal
}

/** Nobody waits for the work any more; nothing of it is kept. */
export class Stopped extends Error {
  override readonly name = 'Stopped'
}

/** Lets whatever else is waiting be answered first. */
export const others = (): Promise<void> => new Promise((done) => setImmediate(done))

/** Work that tells nobody how far it is. */
export const SILENT: Long = { step: others, signal: new AbortController().signal }

/**
 * Does long work, and answers with it. Asked for `application/x-ndjson`, it answers a line at a time: `{"done":1,"of":9}` as it goes,
 * and `{"result":…}` or `{"problem":…}` at the end; closing the connection stops it.
 */
export async function longWork<T>(event: H3Event, work: (long: Long) => Promise<T>): Promise<T | undefined> {
  const { req, res } = event.node
  if (!/\bapplication\/x-ndjson\b/.test(req.headers.accept ?? '')) return work(SILENT)
  const leaving = new AbortController()
  res.once('close', () => leaving.abort())
  res.writeHead(200, { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' })
  let told = 0
  const line = (value: object): void => void res.write(`${JSON.stringify(value)}\n`)
  const step = async (done: number, of: number): Promise<void> => {
    if (performance.now() - told > TOLD_MS) {
      told = performance.now()
      line({ done, of })
    }
    await others()
    if (leaving.signal.aborted) throw new Stopped()
  }
  try {
    line({ result: await work({ step, signal: leaving.signal }) })
  } catch (error) {
    if (error instanceof Stopped) return undefined
    const problem = problemOf(error as { statusCode?: number })
    if (problem.status >= 500) console.error(error)
    line({ problem })
  }
  res.end()
  event._handled = true
  return undefined
}
