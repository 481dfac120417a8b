import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

export default defineEventHandler(
  (event) => useStore().record(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such record.'),
)
