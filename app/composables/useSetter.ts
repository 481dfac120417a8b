import type { SetterAnswer, SetterWish } from '../../workers/setter'

/** Counts and sets problems in a worker; a new wish lets go of one still being worked at. */
export function useSetter() {
  const answer = shallowRef<SetterAnswer | null>(null)
  let worker: Worker | undefined

  function set(wish: SetterWish): void {
    worker?.terminate()
    worker = new Worker(new URL('../../workers/setter.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<SetterAnswer>) => (answer.value = data)
    worker.onerror = () => {
      answer.value = {
        count: '0',
        problems: [],
        conflict: null,
        refused: 'The setter stopped before it was done. Set them again.',
      }
    }
    worker.postMessage(JSON.parse(JSON.stringify(wish)))
  }
  onBeforeUnmount(() => worker?.terminate())
  return { answer, set }
}
