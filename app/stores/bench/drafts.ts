import { keptDraft, keptDrafts, type Draft } from '../../utils/kept'
import { draftKey } from '../../utils/tabs'

/** Unsaved work as this browser keeps it: what lies on the bench of this window, and what new problems pushed aside. */
export function benchDrafts() {
  /** Plain data of thousands of moves: nothing in it is watched, it is only ever replaced. */
  const PLAIN = { shallow: true, deep: false } as const
  const draft = useLocalStorage<Draft | null>(draftKey(), null, { ...PLAIN, serializer: keptDraft })
  /** The newest last; there until it is saved, opened or deleted. */
  const asides = useLocalStorage<readonly Draft[]>('sett.aside', [], { ...PLAIN, serializer: keptDrafts })
  /** What was deleted last, to be brought back. */
  const deleted = shallowRef<Draft | null>(null)

  const takeAside = (id: string): Draft | undefined => {
    const found = asides.value.find((d) => d.id === id)
    asides.value = asides.value.filter((d) => d !== found)
    return found
  }
  const deleteAside = (id: string): void => void (deleted.value = takeAside(id) ?? null)
  function undelete(): void {
    if (deleted.value) asides.value = [...asides.value, deleted.value]
    deleted.value = null
  }
  return { draft, asides, takeAside, deleteAside, deleted, undelete }
}
