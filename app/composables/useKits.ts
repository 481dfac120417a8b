import type { KitsAnswer, KitsWish } from '../../workers/kit'

/** Counts kits in a worker; a newer wish lets go of one still being counted. Null until it is known. */
export function useKits() {
  const kits = shallowRef<KitsAnswer | null>(null)
  const trouble = ref('')
  let worker: Worker | undefined
  function count(wish: KitsWish): void {
    worker?.terminate()
    trouble.value = ''
    worker = new Worker(new URL('../../workers/kit.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<KitsAnswer>) => (kits.value = data)
    worker.onerror = () =>
      (trouble.value = 'The pieces could not be counted. Change something, or load the page again.')
    worker.postMessage(JSON.parse(JSON.stringify(wish)))
  }
  onBeforeUnmount(() => worker?.terminate())
  return { kits, trouble, count }
}
