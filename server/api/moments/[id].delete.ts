import { reachedRecord } from '../../utils/person'
import { route } from '../../utils/route'
import { useStore } from '../../utils/store'

/** Lets a moment go; the record stays. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, (event) => {
  useStore().dropMoment(reachedRecord(event, getRouterParam(event, 'id') ?? '').id)
  setResponseStatus(event, 204)
  return null
})
