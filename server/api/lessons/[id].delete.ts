import { noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Removes a lesson; what was worked in it stays in the Daybook. */
export default defineEventHandler((event) => {
  const store = useStore()
  const lesson = store.lesson(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such lesson.')
  store.removeLesson(lesson.id)
  noteDone(event, 'removed a lesson', `${lesson.day} ${lesson.at}`)
  return { removed: true }
})
