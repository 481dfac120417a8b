import { useStore } from '../utils/store'

/** The room, its learners, and null for the room while nobody has set one up. */
export default defineEventHandler(() => {
  const store = useStore()
  return { classroom: store.classroom() ?? null, learners: store.learners() }
})
