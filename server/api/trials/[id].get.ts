import { mustReach } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

export default defineEventHandler((event) => {
  const trial = useStore().trial(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such trial.')
  mustReach(event, trial.learnerId)
  return trial
})
