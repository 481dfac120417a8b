import { reachedRecord } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { route } from '../../utils/route'
import { useStore } from '../../utils/store'

/** One record. */
export default route({ least: 'looker-on', whose: 'learners', writes: false }, (event) => {
  const { id } = reachedRecord(event, getRouterParam(event, 'id') ?? '')
  return useStore().record(id) ?? refuse(404, 'There is no such record.')
})
