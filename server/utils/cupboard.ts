import { CUPBOARD_AT_FIRST, cupboardSchema, type Cupboard } from '../../shared/cupboard'
import { keepSetting, settingOf } from './versioned'
import type { Store } from './store'

/** What the school has; as it is at first where nothing was kept, or what was is not known any more. */
export const cupboardOf = (store: Store): Cupboard => settingOf(store, 'cupboard', cupboardSchema, CUPBOARD_AT_FIRST)

/** Keeps it, changed from the version that is there; undefined where it has been changed since, and stays as it is. */
export const keepCupboard = (store: Store, cupboard: Cupboard): Cupboard | undefined =>
  keepSetting(store, 'cupboard', () => cupboardOf(store), cupboard)
