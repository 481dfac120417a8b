import { fetchAll } from '../utils/materials'

/** Only the Bench can open before all materials are here. */
export default defineNuxtRouteMiddleware(async ({ path }) => {
  if (path !== '/bench') await fetchAll()
})
