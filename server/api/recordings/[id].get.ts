import { mustReach } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** One recording as sound. */
export default defineEventHandler((event) => {
  const kept = useStore().recording(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such recording.')
  mustReach(event, kept.learnerId)
  setResponseHeader(event, 'content-type', kept.type)
  return kept.audio
})
