import type { z } from 'zod'
import { keepVersion, type Versioned } from '../db/versioned'
import type { Store } from './store'

/** What is kept under a name; as it is at first where nothing was kept, or what was is not known any more. */
export function settingOf<T extends Versioned>(store: Store, name: string, schema: z.ZodType<T>, first: T): T {
  const kept = schema.safeParse(store.setting(name))
  return kept.success ? kept.data : first
}

/** Keeps it, changed from the version that is there; undefined where it has been changed since, and stays as it is. */
export const keepSetting = <T extends Versioned>(
  store: Store,
  name: string,
  thereNow: () => T,
  sent: T,
): T | undefined => store.db.transaction(() => keepVersion(thereNow(), sent, (kept) => store.set(name, kept)))()
