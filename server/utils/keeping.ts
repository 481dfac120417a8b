import { KEEPING_AT_FIRST, keepingSchema, type Keeping } from '../../shared/people'
import { alone } from './alone'
import { aside } from './aside'
import { listBackups } from './backups'
import { eraseLeftovers } from './erasing'
import type { Store } from './store'

const DAY_MS = 86_400_000

/** What the keeper has set, or what holds until then. */
export function keepingOf(store: Store): Keeping {
  const kept = keepingSchema.safeParse(store.setting('keeping'))
  return kept.success ? kept.data : KEEPING_AT_FIRST
}

/** The start before which records go by the rule, on a day; null where they are kept for good. */
export function goesBefore({ recordMonths }: Keeping, now: Date): string | null {
  if (recordMonths === 0) return null
  const limit = new Date(now)
  limit.setUTCMonth(limit.getUTCMonth() - recordMonths)
  return limit.toISOString()
}

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

/** What is due once a day: a backup, what was erased out of every copy, records and log lines that have been kept as long as they should be. */
export async function daily(storeNow: () => Store, now = new Date()): Promise<void> {
  const store = storeNow()
  const { path } = store
  const keeping = keepingOf(store)
  const [latest] = listBackups(path)
  if (!latest || now.getTime() - Date.parse(latest.at) >= DAY_MS)
    await aside('backUp', { path, keep: keeping.backups, at: now.getTime() })
  await eraseLeftovers(store)
  await alone(storeNow, undefined, async (store) => {
    store.forgetHappenings(now.getTime() - keeping.logDays * DAY_MS)
    const before = goesBefore(keeping, now)
    if (before === null || now.getTime() < holdsFrom(store)) return
    const removed = await aside('removeBefore', { path, before })
    if (removed === 0) return
    const about = `${removed}, before ${before.slice(0, 10)}`
    store.note({ at: now.getTime(), who: 'Sett', what: 'removed records by the rule', about })
  })
}
