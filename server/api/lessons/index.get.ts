import { lessonsQuery } from '../../../shared/lessons'
import { lessonFor } from '../../utils/lessons'
import { asker } from '../../utils/person'
import { checkedQuery } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Lessons of some days, in the order of time. */
export default defineEventHandler((event) => {
  const { from, to } = checkedQuery(event, lessonsQuery)
  const { only } = asker(event)
  return useStore()
    .lessons(from, to)
    .flatMap((lesson) => lessonFor(lesson, only) ?? [])
})
