import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Deletes a learner and everything recorded of them. */
export default defineEventHandler((event) => {
  if (!useStore().removeLearner(getRouterParam(event, 'id') ?? '')) refuse(404, 'There is no such learner.')
  setResponseStatus(event, 204)
  return null
})
