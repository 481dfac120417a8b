import { reopenQuery } from '../../../../shared/lessons'
import { lessonFor } from '../../../utils/lessons'
import { mustReach, reachOf } from '../../../utils/person'
import { checkedQuery, refuse } from '../../../utils/problem'
import { useStore } from '../../../utils/store'
import { route } from '../../../utils/route'

/** Opens the turn of a lesson again whose work was one record, as where that save is undone. */
export default route({ least: 'helper', whose: 'learners', writes: true }, (event) => {
  const store = useStore()
  const id = getRouterParam(event, 'id') ?? ''
  const { record } = checkedQuery(event, reopenQuery)
  const lesson = store.lesson(id)
  if (!lesson || !lessonFor(lesson, reachOf(event))) refuse(404, 'There is no such lesson.')
  const turn =
    lesson.turns.find((t) => t.done?.record === record) ?? refuse(404, 'No turn of this lesson has such a record.')
  if (turn.learner !== null) mustReach(event, turn.learner)
  return lessonFor(store.reopenTurn(id, record)!, reachOf(event))
})
