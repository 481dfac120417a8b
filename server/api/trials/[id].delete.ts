import { reaches } from '../../../shared/roles'
import { asker, mustReach, noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { isOfNow } from '../../utils/sitting'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Deletes an attempt; a helper only one at the table of the last two hours. */
export default route({ least: 'helper', whose: 'learners', writes: true }, (event) => {
  const store = useStore()
  const id = getRouterParam(event, 'id') ?? ''
  const kept = store.trial(id) ?? refuse(404, 'There is no such trial.')
  mustReach(event, kept.learnerId)
  if (!reaches(asker(event).role, 'teacher') && !(isOfNow(kept) && kept.kind === 'table'))
    refuse(403, 'That is for a teacher to delete: it is not a try of the last two hours.')
  store.removeTrial(id)
  noteDone(event, 'deleted a trial', `${kept.kind}, ${kept.startedAt.slice(0, 10)}`)
  setResponseStatus(event, 204)
  return null
})
