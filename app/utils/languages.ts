import { introduceLanguage } from '../../core/door'

/** Spanish, once somebody of the room speaks it; null until then. */
export const spanish = shallowRef<(typeof import('../../core/spanish'))['SPANISH'] | null>(null)

/** Fetches Spanish, once. */
export async function fetchSpanish(): Promise<void> {
  if (spanish.value) return
  const { SPANISH } = await import('../../core/spanish')
  introduceLanguage(SPANISH)
  spanish.value = SPANISH
}
