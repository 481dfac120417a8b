import { SEARCHES_AT_FIRST, searchesSchema, type Searches } from '../../shared/learners'
import { keepSetting, settingOf } from './versioned'
import type { Store } from './store'

export const searchesOf = (store: Store): Searches => settingOf(store, 'searches', searchesSchema, SEARCHES_AT_FIRST)
export const keepSearches = (store: Store, sent: Searches): Searches | undefined =>
  keepSetting(store, 'searches', searchesOf(store), sent)
