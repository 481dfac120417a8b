import { mustReachAll } from '../../utils/lessons'
import { noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Removes a lesson; what was worked in it stays in the Daybook. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, (event) => {
  const store = useStore()
  const lesson = store.lesson(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such lesson.')
  mustReachAll(event, lesson)
  store.removeLesson(lesson.id)
  noteDone(event, 'removed a lesson', `${lesson.day} ${lesson.at}`)
  return { removed: true }
})
