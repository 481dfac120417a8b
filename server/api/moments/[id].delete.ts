import { useStore } from '../../utils/store'

/** Lets a moment go; the record stays. */
export default defineEventHandler((event) => {
  useStore().dropMoment(getRouterParam(event, 'id') ?? '')
  setResponseStatus(event, 204)
  return null
})
