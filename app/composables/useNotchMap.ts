import { parseNotchMap, type NotchMap } from '../../core/representation/touch/index'
import { attempt } from '../../core/door'
import { request } from '../utils/request'

/** One map for all that draw numerals; fetched once, null until then and where the rule stands. */
const map = shallowRef<NotchMap | null>(null)
const trouble = ref('')
let fetched: Promise<void> | undefined

/** The class's own notches, as the server keeps them. */
export function useNotchMap() {
  fetched ??= fetchMap()
  return { map: readonly(map), trouble, set }
}

async function fetchMap(): Promise<void> {
  try {
    const { map: kept } = await request<{ map: NotchMap | null }>('/api/notches')
    const read = kept && attempt(() => parseNotchMap(kept))
    map.value = read && 'ok' in read ? read.ok : null
  } catch (error) {
    trouble.value = (error as Error).message
    fetched = undefined
  }
}

/** Writes follow one another, so that the last one stands. */
let writing: Promise<unknown> = Promise.resolve()

function set(next: NotchMap | null): void {
  map.value = next
  writing = writing
    .then(() => request('/api/notches', next ? { method: 'PUT', body: next } : { method: 'DELETE' }))
    .then(
      () => (trouble.value = ''),
      (error: Error) => (trouble.value = `${error.message} The notches are moved here only.`),
    )
}
