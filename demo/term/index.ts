import type { Store } from '../../server/utils/store'
import { seedDemo } from '../lantern-walk'
import { markPages, rehearseFacts, setGoals, stock, suit, teachBefore } from './around'
import { workTerm } from './sessions'
import { STORIES } from './stories'

/**
 * A term of the demo: twelve weeks of the Loft before today, so that every page has something to show. All of it is invented, made by a
 * seeded generator from the core's own plans and mistaken procedures: the same on every run but for its dates.
 */

/** Fills an empty store with the class, its lessons of today and to come, and the term before. */
export function seedTerm(store: Store, today: Date): void {
  if (store.classroom()) return
  // Moth is at the very beginning here, and has not worked with tens.
  seedDemo(store, today, ['Moth'])
  store.db.transaction(() => {
    for (const [i, story] of STORIES.entries()) workTerm(store, story, today, i)
    setGoals(store, today)
    markPages(store, today)
    rehearseFacts(store, today)
    stock(store)
    suit(store)
  })()
  teachBefore(store, today)
}
