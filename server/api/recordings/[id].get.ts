import { mustReach } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** One recording as sound. */
export default route({ least: 'looker-on', whose: 'learners', writes: false }, (event) => {
  const kept = useStore().recording(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such recording.')
  mustReach(event, kept.learnerId)
  setResponseHeader(event, 'content-type', kept.type)
  return kept.audio
})
