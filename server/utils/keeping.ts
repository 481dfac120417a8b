import { KEEPING_AT_FIRST, keepingSchema, type Keeping } from '../../shared/people'
import { listBackups, makeBackup } from './backups'
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

/** What is due once a day: a backup, records and log lines that have been kept as long as they should be. */
export async function daily(store: Store, now = new Date()): Promise<void> {
  const keeping = keepingOf(store)
  const [latest] = listBackups(store.path)
  if (!latest || now.getTime() - Date.parse(latest.at) >= DAY_MS) await makeBackup(store.path, keeping.backups, now)
  store.forgetHappenings(now.getTime() - keeping.logDays * DAY_MS)
  const before = goesBefore(keeping, now)
  if (before === null || now.getTime() < holdsFrom(store)) return
  const removed =
    store.removeBefore(before) +
    store.removeTrialsBefore(before) +
    store.removeMarkingsBefore(before) +
    store.removeLessonsBefore(before.slice(0, 10))
  if (removed > 0)
    store.note({
      at: now.getTime(),
      who: 'Sett',
      what: 'removed records by the rule',
      about: `${removed}, before ${before.slice(0, 10)}`,
    })
}
