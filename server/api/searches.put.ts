import { searchesSchema } from '../../shared/learners'
import { checkedBody, refuse } from '../utils/problem'
import { keepSearches } from '../utils/searches'
import { useStore } from '../utils/store'

/** Keeps the searches of the room. */
export default defineEventHandler(async (event) => {
  const sent = await checkedBody(event, searchesSchema)
  return keepSearches(useStore(), sent) ?? refuse(409, 'Somebody has changed the searches since. Load the page again.')
})
