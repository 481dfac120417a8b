import { lessonFor } from '../../utils/lessons'
import { reachOf } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** One lesson. */
export default route({ least: 'looker-on', whose: 'learners', writes: false }, (event) => {
  const lesson = useStore().lesson(getRouterParam(event, 'id') ?? '')
  return (lesson && lessonFor(lesson, reachOf(event))) ?? refuse(404, 'There is no such lesson.')
})
