import { turnDoneSchema } from '../../../../shared/lessons'
import { lessonFor } from '../../../utils/lessons'
import { mustReach, reachOf } from '../../../utils/person'
import { checkedBody, refuse } from '../../../utils/problem'
import { useStore } from '../../../utils/store'
import { route } from '../../../utils/route'

/** Notes that a turn of a lesson was worked, so that it is gone on with at the next one, from any window. */
export default route({ least: 'helper', whose: 'learners', writes: true }, async (event) => {
  const worked = await checkedBody(event, turnDoneSchema)
  const store = useStore()
  const id = getRouterParam(event, 'id') ?? ''
  const lesson = store.lesson(id)
  if (!lesson || !lessonFor(lesson, reachOf(event))) refuse(404, 'There is no such lesson.')
  if (worked.learner !== null) mustReach(event, worked.learner)
  const kept = store.keepTurnDone(id, worked, new Date().toISOString())
  if (!kept) refuse(409, 'This lesson has been changed: it has no such problem any more.')
  return lessonFor(kept, reachOf(event))
})
