import { lessonSchema } from '../../../shared/lessons'
import { mustReachAll } from '../../utils/lessons'
import { mustReach, noteDone } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Keeps a lesson; the same one sent twice from the same version is one. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, async (event) => {
  const lesson = await checkedBody(event, lessonSchema)
  if (lesson.id !== getRouterParam(event, 'id')) refuse(422, 'The address names another lesson.')
  const store = useStore()
  for (const [i, id] of lesson.learners.entries()) {
    mustReach(event, id)
    if (!store.hasLearner(id))
      refuse(422, 'Somebody who is to come is not among the learners any more.', [
        { pointer: `/learners/${i}`, detail: 'No learner has this identifier.' },
      ])
  }
  mustReachAll(event, store.lesson(lesson.id))
  const kept = store.keepLesson(lesson)
  if (!kept) refuse(409, 'Somebody has changed this lesson since. Load it again.')
  noteDone(event, lesson.version === 0 ? 'planned a lesson' : 'changed a lesson', `${lesson.day} ${lesson.at}`)
  return kept
})
