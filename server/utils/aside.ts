import { existsSync } from 'node:fs'
import { Worker } from 'node:worker_threads'
import { Stopped } from './progress'
import { doTask, type Given, type Made, type Said, type Task } from '../aside/tasks'

let threadFrom: (() => string) | undefined
const built = new Map<string, URL>()

/** Has tasks done in a thread of their own from now on; `module` says, when it is asked, where a module of the built server lies. */
export function doAside(module: () => string): void {
  threadFrom = module
}

/**
 * A built thread by its name, beside or above a module of the server; undefined where there is no built server.
 * @throws Error where the server was built without it.
 */
export function builtFile(name: string): URL | undefined {
  const module = threadFrom?.()
  if (module === undefined) return undefined
  const known = built.get(name)
  if (known) return known
  const places = ['./', '../', '../../', '../../../'].map((up) => new URL(up + name, module))
  const found = places.find((file) => existsSync(file))
  if (found) built.set(name, found)
  else throw new Error(`There is no ${name} near ${module}: build Sett again.`)
  return found
}

/** What goes with a task: what is large in it is handed over, and is gone here then; a signal stops it. */
interface Besides {
  readonly handed?: readonly ArrayBufferLike[]
  readonly signal?: AbortSignal | undefined
}

/** Tasks are done one after another: two of them may mean the same file. */
let before: Promise<unknown> = Promise.resolve()
/** Resolves when nothing that was asked for up to now is still being done. */
export const asideDone = async (): Promise<void> => void (await before)

/**
 * Does a task on whole files while others are answered; without a built server (from the command line) in this process.
 * @throws Error as the task does, with its code; Stopped where it was stopped, and then nothing of it is kept.
 */
export function aside<K extends Task>(
  task: K,
  given: Given<K>,
  { handed = [], signal }: Besides = {},
): Promise<Made<K>> {
  const made = before.then(() => {
    const file = builtFile('aside.mjs')
    return file ? inThread(file, { task, given }, { handed, signal }) : doTask(task, given)
  })
  before = made.catch(() => {})
  return made
}

/** As much as a task may take for its objects, in megabytes: none of them holds more than a small part of a file at once. */
const LIMITS = { maxOldGenerationSizeMb: 64, maxYoungGenerationSizeMb: 4 }

function inThread<K extends Task>(
  file: URL,
  workerData: { readonly task: K; readonly given: Given<K> },
  { handed, signal }: Besides,
): Promise<Made<K>> {
  return new Promise((done, failed) => {
    if (signal?.aborted) return failed(new Stopped())
    const worker = new Worker(file, {
      workerData,
      transferList: handed as ArrayBuffer[],
      resourceLimits: LIMITS,
    })
    worker.once('message', (said: Said) => {
      if ('made' in said) return done(said.made as Made<K>)
      const { message, ...code } = said.failed
      failed(Object.assign(new Error(message), code))
    })
    worker.once('error', failed)
    const stop = (): void => void worker.terminate()
    signal?.addEventListener('abort', stop)
    worker.once('exit', () => {
      signal?.removeEventListener('abort', stop)
      failed(signal?.aborted ? new Stopped() : new Error(`The thread ended before “${workerData.task}” was done.`))
    })
  })
}
