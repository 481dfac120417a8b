import { DAY_MS, dayIn, monthsBefore } from '../../shared/days'
import { KEEPING_AT_FIRST, keepingSchema, type Keeping } from '../../shared/people'
import { zoneOf } from '../db/open'
import { alone, isDamaged } from './alone'
import { aside } from './aside'
import { listBackups } from './backups'
import { eraseLeftovers } from './erasing'
import type { Store } from './store'

/** What the keeper has set, or what holds until then. */
export function keepingOf(store: Store): Keeping {
  const kept = keepingSchema.safeParse(store.setting('keeping'))
  return kept.success ? kept.data : KEEPING_AT_FIRST
}

/** The day before which records go by the rule, on a day of the school; null where they are kept for good. Months are calendar months. */
export const goesBefore = ({ recordMonths }: Keeping, today: string): string | null =>
  recordMonths === 0 ? null : monthsBefore(today, recordMonths)

/** When the rule was last changed; it holds from a day later on, so that nobody's slip removes anything at once. */
const changedAt = (store: Store): number => Number(store.setting('keeping-changed') ?? 0)
export const holdsFrom = (store: Store): number => changedAt(store) + DAY_MS

/** Sets the rule. */
export function setKeeping(store: Store, keeping: Keeping, now: number): void {
  store.db.transaction(() => {
    store.set('keeping', keeping)
    store.set('keeping-changed', now)
  })()
}

/** So long after somebody last came in from an address it is forgotten that they did, in days. */
const KNOWN_DAYS = 90

/** What is due once a day: what was broken off is taken away, a backup, what was erased out of every copy, records and log lines that have been kept as long as they should be. */
export async function daily(storeNow: () => Store, now = new Date()): Promise<void> {
  if (isDamaged()) return
  const store = storeNow()
  const { path } = store
  const keeping = keepingOf(store)
  await aside('tidyUp', { path })
  const latest = listBackups(path).find((b) => b.kind === 'daily')
  const isDue = !latest || now.getTime() - Date.parse(latest.at) >= DAY_MS
  const made = isDue
    ? await aside('backUp', { path, keep: keeping.backups, at: now.getTime(), kind: 'daily' })
    : undefined
  await eraseLeftovers(storeNow())
  await alone(storeNow, undefined, async (store) => {
    if (made && made.damaged > 0)
      store.note({
        at: now.getTime(),
        who: 'Sett',
        what: 'found records damaged on the disk',
        about: `${made.damaged}`,
      })
    store.forgetTries(now.getTime() - DAY_MS, now.getTime() - KNOWN_DAYS * DAY_MS)
    store.forgetHappenings(now.getTime() - keeping.logDays * DAY_MS)
    const before = goesBefore(keeping, dayIn(zoneOf(store.db), now.getTime()))
    if (before === null || now.getTime() < holdsFrom(store)) return
    const removed = await aside('removeBefore', { path, before })
    if (removed === 0) return
    const about = `${removed}, before ${before}`
    store.note({ at: now.getTime(), who: 'Sett', what: 'removed records by the rule', about })
  })
}
