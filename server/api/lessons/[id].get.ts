import { lessonFor } from '../../utils/lessons'
import { asker } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** One lesson. */
export default defineEventHandler((event) => {
  const lesson = useStore().lesson(getRouterParam(event, 'id') ?? '')
  return (lesson && lessonFor(lesson, asker(event).only)) ?? refuse(404, 'There is no such lesson.')
})
