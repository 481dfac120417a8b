import { introduceLanguage } from '../../core/door'

/** Spanish, once a class that speaks it has come to the Bench; null until then. */
export const spanish = shallowRef<(typeof import('../../core/spanish'))['SPANISH'] | null>(null)

/** Fetches Spanish, once. */
export async function fetchSpanish(): Promise<void> {
  if (spanish.value) return
  const { SPANISH } = await import('../../core/spanish')
  introduceLanguage(SPANISH)
  spanish.value = SPANISH
}
