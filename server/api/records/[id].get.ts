import { mustReach } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

export default defineEventHandler((event) => {
  const record = useStore().record(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such record.')
  mustReach(event, record.learnerId)
  return record
})
