import type { H3Event } from 'h3'
import { useZone, zoneOf } from '../db/open'
import { alone } from './alone'
import { aside } from './aside'
import { noteDone } from './person'
import { useStore } from './store'

/** Sets the school's time zone, and tells every day anew where it is another than before. */
export async function moveTo(event: H3Event, zone: string): Promise<void> {
  const store = useStore()
  if (zoneOf(store.db) === zone) return store.set('zone', zone)
  await alone(useStore, event, async ({ db, path }) => {
    await aside('moveDays', { path, zone })
    useZone(db, zone)
  })
  noteDone(event, 'set the time zone', zone)
}
