import type { SavedRecord } from '../../shared/schemas'
import { ifWhole } from '../db/sums'
import { isDamaged, whenOpen } from './alone'
import { isTrouble, replayed } from './replaying'
import type { Store } from './store'

/** Records that were kept as they came, because looking them through takes longer than anybody should wait, are looked through later. */

const AT_ONCE = 20
let going: Promise<void> | undefined

/**
 * Looks through what waits, one after another, while nobody waits for it. What cannot be worked as it says, or breaks the thread
 * that works it, stays and is marked.
 */
export const lookThroughLater = (storeNow: () => Store): Promise<void> =>
  (going ??= goOn(storeNow).finally(() => (going = undefined)))

/** A record; undefined where it is gone, or damaged. */
const recordIn = (store: Store, id: string): SavedRecord | undefined =>
  ifWhole(
    () => store.record(id),
    () => {},
  )

async function goOn(storeNow: () => Store): Promise<void> {
  for (;;) {
    if (isDamaged()) return
    const ids = storeNow().toLookThrough(AT_ONCE)
    if (ids.length === 0) return
    for (const id of ids) {
      const record = recordIn(storeNow(), id)
      const found = record && (await replayed(record.work).catch(() => null))
      await whenOpen(() => {
        // It may have been saved again meanwhile, with more moves; then it is looked through anew.
        const now = recordIn(storeNow(), id)
        if (now?.work.moves.length !== record?.work.moves.length) return
        storeNow().lookedThrough(id, found && !isTrouble(found) ? found.slips : null)
      })
    }
  }
}
