import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

export default defineEventHandler((event) => {
  if (!useStore().remove(getRouterParam(event, 'id') ?? '')) refuse(404, 'There is no such record.')
  setResponseStatus(event, 204)
  return null
})
