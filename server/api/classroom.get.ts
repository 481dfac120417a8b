import { asker } from '../utils/person'
import { useStore } from '../utils/store'

/** The room, its learners, as far as whoever asks may see them, and null for the room while nobody has set one up. */
export default defineEventHandler((event) => {
  const store = useStore()
  const { only } = asker(event)
  const learners = store.learners().filter((l) => only === null || only.includes(l.id))
  return { classroom: store.classroom() ?? null, learners }
})
