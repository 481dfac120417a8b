import { courseById } from '../../../core/course/index'
import { courseToKeep, MOST_COURSE_BYTES } from '../../../shared/courses'
import { courseTroubles } from '../../utils/courses'
import { noteDone } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** So many courses of its own a school may have. */
const MOST_COURSES = 40

/** Keeps a course of the school's own, once nothing is wrong with it. */
export default route({ least: 'teacher', whose: 'nobody', writes: true }, async (event) => {
  const { version, ...course } = await checkedBody(event, courseToKeep, MOST_COURSE_BYTES)
  if (course.id !== getRouterParam(event, 'id')) refuse(422, 'The address names another course.')
  if (courseById(course.id)) refuse(422, 'This course comes with Sett. Copy it, and change the copy.')
  const store = useStore()
  if (!store.course(course.id) && store.courses().length >= MOST_COURSES)
    refuse(422, `There are ${MOST_COURSES} courses already. Remove one first.`)
  const troubles = await courseTroubles(course)
  if (troubles.length > 0) refuse(422, troubles[0]!.detail, troubles)
  const kept = store.keepCourse(course, version)
  if (!kept) refuse(409, 'Somebody has changed this course since. Load it again, or keep yours as a copy.')
  noteDone(event, version === 0 ? 'added a course' : 'changed a course', course.name)
  return kept
})
