import type { ChainWish } from '../../core/course/index'
import type { ChainsAnswer } from '../../workers/chains'

/** Sets chains in a worker, so that the screen never waits. A new wish lets go of one still being worked at. */
export function useChainSetter() {
  const answer = shallowRef<ChainsAnswer | null>(null)
  const busy = ref(false)
  let worker: Worker | undefined

  function set(wish: ChainWish): void {
    worker?.terminate()
    worker = new Worker(new URL('../../workers/chains.ts', import.meta.url), { type: 'module' })
    busy.value = true
    worker.onmessage = ({ data }: MessageEvent<ChainsAnswer>) => {
      answer.value = data
      busy.value = false
    }
    worker.onerror = () => {
      answer.value = { refused: 'The setter stopped before it was done. Set them again.' }
      busy.value = false
    }
    worker.postMessage(wish)
  }
  onBeforeUnmount(() => worker?.terminate())
  return { answer, busy, set }
}
