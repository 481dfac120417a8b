import { CUPBOARD_AT_FIRST, cupboardSchema, type Cupboard } from '../../shared/cupboard'
import type { Store } from './store'

/** What the school has; as it is at first where nothing was kept, or what was is not known any more. */
export function cupboardOf(store: Store): Cupboard {
  const kept = cupboardSchema.safeParse(store.setting('cupboard'))
  return kept.success ? kept.data : CUPBOARD_AT_FIRST
}

/** Keeps it, changed from the version that is there; undefined where it has been changed since, and stays as it is. */
export function keepCupboard(store: Store, cupboard: Cupboard): Cupboard | undefined {
  return store.db.transaction(() => {
    if (cupboardOf(store).version !== cupboard.version) return undefined
    const kept = { ...cupboard, version: cupboard.version + 1 }
    store.set('cupboard', kept)
    return kept
  })()
}
