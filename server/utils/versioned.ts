import type { z } from 'zod'
import type { Store } from './store'

/** Settings that several people may change: each has a version, which counts the changes. */
interface Versioned {
  readonly version: number
}

/** What is kept under a name; as it is at first where nothing was kept, or what was is not known any more. */
export function settingOf<T extends Versioned>(store: Store, name: string, schema: z.ZodType<T>, first: T): T {
  const kept = schema.safeParse(store.setting(name))
  return kept.success ? kept.data : first
}

/** Keeps it, changed from the version that is there; undefined where it has been changed since, and stays as it is. */
export function keepSetting<T extends Versioned>(store: Store, name: string, there: T, sent: T): T | undefined {
  return store.db.transaction(() => {
    if (there.version !== sent.version) return undefined
    const kept = { ...sent, version: sent.version + 1 }
    store.set(name, kept)
    return kept
  })()
}
