import { keptDraft, keptDrafts, type Draft } from '../../utils/kept'
import { draftKey } from '../../utils/tabs'

/** Unsaved work as this browser keeps it: what lies on the bench of this window, and the pile of what new problems pushed aside. */
export function benchDrafts() {
  /** Plain data of thousands of moves: nothing in it is watched, it is only ever replaced. */
  const PLAIN = { shallow: true, deep: false } as const
  const draft = useLocalStorage<Draft | null>(draftKey(), null, { ...PLAIN, serializer: keptDraft })
  /** The newest last; there until it is brought back or let go. */
  const asides = useLocalStorage<readonly Draft[]>('sett.aside', [], { ...PLAIN, serializer: keptDrafts })
  /** What was pushed aside last. */
  const aside = computed<Draft | null>(() => asides.value.at(-1) ?? null)
  /** Lets go of what was pushed aside last. */
  const letGo = (): void => void (asides.value = asides.value.slice(0, -1))
  return { draft, asides, aside, letGo }
}
