import { parentPort, workerData } from 'node:worker_threads'
import { doTask, type Given, type Said, type Task } from './tasks'

/** A thread of its own for one task: begun with it, and at its end when that is done. */
const { task, given } = workerData as { task: Task; given: Given<Task> }
const say = (said: Said): void => parentPort!.postMessage(said)

doTask(task, given).then(
  (made) => say({ made }),
  (error: Error & { code?: unknown }) =>
    // An error loses its code on the way between threads.
    say({ failed: { message: error.message, ...(typeof error.code === 'string' ? { code: error.code } : {}) } }),
)
