import { parseNotchMap, type NotchMap } from '../../core/representation/touch/notches'
import { attempt } from '../../core/refusal'

/** The class's own notches, kept in this browser; null where the rule stands. What cannot be read is not used. */
export function useNotchMap() {
  const text = useLocalStorage<string>('sett.notchMap', '')
  const map = computed<NotchMap | null>(() => {
    if (!text.value) return null
    const read = attempt(() => parseNotchMap(JSON.parse(text.value)))
    return 'ok' in read ? read.ok : null
  })
  return { map, set: (next: NotchMap | null): void => void (text.value = next ? JSON.stringify(next) : '') }
}
