import { lessonsQuery } from '../../../shared/lessons'
import { lessonFor } from '../../utils/lessons'
import { reachOf } from '../../utils/person'
import { checkedQuery } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Lessons of some days, in the order of time. */
export default route({ least: 'looker-on', whose: 'learners', writes: false }, (event) => {
  const { from, to } = checkedQuery(event, lessonsQuery)
  const only = reachOf(event)
  return useStore()
    .lessons(from, to)
    .flatMap((lesson) => lessonFor(lesson, only) ?? [])
})
