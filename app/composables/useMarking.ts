import type { MarkingAnswer, MarkingWish } from '../../workers/marking'

type AnswerTo<J extends MarkingWish['job']> = Extract<MarkingAnswer, { job: J }>

/** Nothing came of it, because another wish took its place or it was stopped. */
export class Overtaken extends Error {}

/** Marks in a worker, so that the screen never waits; a new wish lets go of the one still being worked at. */
export function useMarking() {
  const busy = ref(false)
  const progress = ref<{ readonly done: number; readonly of: number } | null>(null)
  let worker: Worker | undefined
  let dropped: ((why: Error) => void) | undefined

  function stop(): void {
    worker?.terminate()
    worker = undefined
    dropped?.(new Overtaken())
    dropped = undefined
    busy.value = false
    progress.value = null
  }

  /** @throws Overtaken; Error with what the worker refused, or that it stopped. */
  function mark<J extends MarkingWish['job']>(wish: MarkingWish & { readonly job: J }): Promise<AnswerTo<J>> {
    stop()
    busy.value = true
    return new Promise((resolve, reject) => {
      dropped = reject
      worker = new Worker(new URL('../../workers/marking.ts', import.meta.url), { type: 'module' })
      const end = (): void => {
        dropped = undefined
        stop()
      }
      worker.onmessage = ({ data }: MessageEvent<MarkingAnswer>) => {
        if (data.job === 'progress') progress.value = data
        else {
          end()
          if (data.job === 'refused') reject(new Error(data.refused))
          else resolve(data as AnswerTo<J>)
        }
      }
      worker.onerror = () => {
        end()
        reject(new Error('Marking stopped before it was done. Mark them again.'))
      }
      // What is reactive cannot be posted as it is.
      worker.postMessage(JSON.parse(JSON.stringify(wish)))
    })
  }
  onBeforeUnmount(stop)
  return { mark, stop, busy, progress }
}
