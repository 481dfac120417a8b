import { zoneOf } from '../db/open'
import { reachOf } from '../utils/person'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** The room, null while nobody has set one up; the learners whom whoever asks reaches; the school's time zone. */
export default route({ least: 'looker-on', whose: 'learners', writes: false }, (event) => {
  const store = useStore()
  const only = reachOf(event)
  const learners = store.learners().filter((l) => only === null || only.includes(l.id))
  return { classroom: store.classroom() ?? null, learners, zone: zoneOf(store.db) }
})
