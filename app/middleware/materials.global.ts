import { fetchSpanish } from '../utils/languages'
import { fetchAll } from '../utils/materials'

/**
 * Only the Bench can open before all materials are here. What it opens with is told in the class's language, so that comes first;
 * without it English is spoken.
 */
export default defineNuxtRouteMiddleware(async ({ path }) => {
  if (!['/', '/bench'].includes(path)) await fetchAll()
  if (path === '/bench' && useClassroom().spoken.language === 'es') await fetchSpanish().catch(() => undefined)
})
