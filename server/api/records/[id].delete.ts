import { reaches } from '../../../shared/roles'
import { asker, noteDone, reachedRecord } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { route } from '../../utils/route'
import { isOfNow } from '../../utils/sitting'
import { useStore } from '../../utils/store'

/** Deletes a record, also one that cannot be read any more; a helper only one of the last two hours. */
export default route({ least: 'helper', whose: 'learners', writes: true }, (event) => {
  const record = reachedRecord(event, getRouterParam(event, 'id') ?? '')
  if (!reaches(asker(event).role, 'teacher') && !isOfNow(record))
    refuse(403, 'That is for a teacher to delete: it is older than two hours.')
  useStore().remove(record.id)
  noteDone(event, 'deleted a record', `${record.problem}, ${record.day}`)
  setResponseStatus(event, 204)
  return null
})
