import { mustReach } from '../../../utils/person'
import { useStore } from '../../../utils/store'

/** What was recorded for a learner, without the sounds. */
export default defineEventHandler((event) => {
  const id = getRouterParam(event, 'id') ?? ''
  mustReach(event, id)
  return useStore().recordings(id)
})
