import { HOUR_MS } from '../../../shared/days'
import { reaches } from '../../../shared/roles'
import { asker, mustReach, noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** A helper who mistapped takes it back while the sitting goes on; after that, deleting is a teacher's. */
const SITTING_MS = 2 * HOUR_MS

export default route({ least: 'helper', whose: 'learners', writes: true }, (event) => {
  const store = useStore()
  const id = getRouterParam(event, 'id') ?? ''
  const kept = store.trial(id) ?? refuse(404, 'There is no such trial.')
  mustReach(event, kept.learnerId)
  const fresh = Math.abs(Date.now() - Date.parse(kept.startedAt)) < SITTING_MS
  if (!reaches(asker(event).role, 'teacher') && !(fresh && kept.kind === 'table'))
    refuse(403, 'That is for a teacher to delete: it is not a try of the last two hours.')
  store.removeTrial(id)
  noteDone(event, 'deleted a trial', `${kept.kind}, ${kept.startedAt.slice(0, 10)}`)
  setResponseStatus(event, 204)
  return null
})
