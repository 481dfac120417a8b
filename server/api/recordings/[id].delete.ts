import { mustReach } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { route } from '../../utils/route'
import { useStore } from '../../utils/store'

/** Deletes one recording. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, (event) => {
  const store = useStore()
  const kept = store.recording(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such recording.')
  mustReach(event, kept.learnerId)
  store.removeRecording(kept.id)
  setResponseStatus(event, 204)
  return null
})
