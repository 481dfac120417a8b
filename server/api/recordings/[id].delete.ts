import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Deletes one recording. */
export default defineEventHandler((event) => {
  if (!useStore().removeRecording(getRouterParam(event, 'id') ?? '')) refuse(404, 'There is no such recording.')
  setResponseStatus(event, 204)
  return null
})
