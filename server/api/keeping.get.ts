import { goesBefore, holdsFrom, keepingOf } from '../utils/keeping'
import { useStore } from '../utils/store'
import { dayIn } from '../../shared/days'
import { zoneOf } from '../db/open'
import { route } from '../utils/route'

/** The rule for how long things are kept, and what it would remove next. */
export default route({ least: 'keeper', whose: 'school', writes: false }, () => {
  const store = useStore()
  const keeping = keepingOf(store)
  const from = Math.max(Date.now(), holdsFrom(store))
  const before = goesBefore(keeping, dayIn(zoneOf(store.db), from))
  return {
    keeping,
    next:
      before === null
        ? null
        : {
            at: new Date(from).toISOString(),
            before,
            records: store.countBefore(before) + store.countTrialsBefore(before),
          },
  }
})
