import { goesBefore, holdsFrom, keepingOf } from '../utils/keeping'
import { useStore } from '../utils/store'

/** The rule for how long things are kept, and what it would remove next. */
export default defineEventHandler(() => {
  const store = useStore()
  const keeping = keepingOf(store)
  const from = new Date(Math.max(Date.now(), holdsFrom(store)))
  const before = goesBefore(keeping, from)
  return {
    keeping,
    next:
      before === null
        ? null
        : { at: from.toISOString(), before, records: store.countBefore(before) + store.countTrialsBefore(before) },
  }
})
