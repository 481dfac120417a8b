import { courseById } from '../../../core/course/index'
import { chosenSchema } from '../../../shared/courses'
import { coursesHere } from '../../utils/courses'
import { noteDone } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Sets which course the room takes. */
export default route({ least: 'teacher', whose: 'nobody', writes: true }, async (event) => {
  const { course } = await checkedBody(event, chosenSchema)
  const store = useStore()
  const it = store.course(course) ?? courseById(course) ?? refuse(422, 'There is no such course.')
  store.set('course', course)
  noteDone(event, 'chose a course', it.name)
  return coursesHere(store)
})
