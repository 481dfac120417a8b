import { SEARCHES_AT_FIRST, searchesSchema, type Searches } from '../../shared/learners'
import type { Asker } from './person'
import type { Store } from './store'
import { keepSetting, settingOf } from './versioned'

/** Searches are kept by whoever made them, since their names and what they look for may be about a learner. */
const nameFor = ({ id }: Asker): string => (id === null ? 'searches' : `searches/${id}`)

/** The searches of whoever asks; what is about a learner whom they do not reach any more is left out. */
export function searchesOf(store: Store, asker: Asker): Searches {
  // Before everybody had their own, they were the school's: whoever reaches everybody still has these.
  const first =
    asker.only === null ? settingOf(store, 'searches', searchesSchema, SEARCHES_AT_FIRST) : SEARCHES_AT_FIRST
  const all = settingOf(
    store,
    nameFor(asker),
    searchesSchema,
    asker.id === null ? SEARCHES_AT_FIRST : { ...first, version: 0 },
  )
  const { only } = asker
  const isReached = ({ find }: Searches['searches'][number]): boolean =>
    only === null || find.learner === undefined || only.includes(find.learner)
  return { ...all, searches: all.searches.filter(isReached) }
}

export const keepSearches = (store: Store, asker: Asker, sent: Searches): Searches | undefined =>
  keepSetting(store, nameFor(asker), () => searchesOf(store, asker), sent)
