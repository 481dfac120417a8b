import { noteDone, reachedRecord } from '../../utils/person'
import { route } from '../../utils/route'
import { useStore } from '../../utils/store'

/** Deletes a record, also one that cannot be read any more. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, (event) => {
  const { id, problem, day } = reachedRecord(event, getRouterParam(event, 'id') ?? '')
  useStore().remove(id)
  noteDone(event, 'deleted a record', `${problem}, ${day}`)
  setResponseStatus(event, 204)
  return null
})
