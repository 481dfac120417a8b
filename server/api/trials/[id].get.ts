import { mustReach } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

export default route({ least: 'looker-on', whose: 'learners', writes: false }, (event) => {
  const trial = useStore().trial(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such trial.')
  mustReach(event, trial.learnerId)
  return trial
})
