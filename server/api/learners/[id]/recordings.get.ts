import { mustReach } from '../../../utils/person'
import { useStore } from '../../../utils/store'
import { route } from '../../../utils/route'

/** What was recorded for a learner, without the sounds. */
export default route({ least: 'looker-on', whose: 'learners', writes: false }, (event) => {
  const id = getRouterParam(event, 'id') ?? ''
  mustReach(event, id)
  return useStore().recordings(id)
})
