import { StorageSerializers } from '@vueuse/core'

/** A page of answers as it was marked last in this window: what was on it, whose it was, under which identifier, and what was said of it. */
export interface MarkedPage {
  readonly page: string
  readonly whose: string
  readonly id: string
  readonly said: string
}

/** What was marked last, so that whoever comes back from another place finds its result; a page that was changed since has none. */
export function useMarkedPage(pageNow: () => string, comeBack: (last: MarkedPage) => Promise<void>) {
  const marked = useSessionStorage<MarkedPage | null>('sett.marked', null, { serializer: StorageSerializers.object })
  onMounted(() => (marked.value?.page === pageNow() ? comeBack(marked.value) : undefined))
  return {
    keepMarked: (page: Omit<MarkedPage, 'page'>): void => void (marked.value = { ...page, page: pageNow() }),
  }
}
