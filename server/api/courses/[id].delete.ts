import { coursesHere } from '../../utils/courses'
import { noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Removes a course of the school's own; where the room took it, it takes the usual one again. */
export default route({ least: 'teacher', whose: 'nobody', writes: true }, (event) => {
  const store = useStore()
  const course = store.course(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such course.')
  store.removeCourse(course.id)
  noteDone(event, 'removed a course', course.name)
  return coursesHere(store)
})
