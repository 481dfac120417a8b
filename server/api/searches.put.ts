import { searchesSchema } from '../../shared/learners'
import { asker, reachOf } from '../utils/person'
import { checkedBody, refuse } from '../utils/problem'
import { keepSearches } from '../utils/searches'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** Keeps the searches of whoever asks. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, async (event) => {
  reachOf(event)
  const sent = await checkedBody(event, searchesSchema)
  return (
    keepSearches(useStore(), asker(event), sent) ??
    refuse(409, 'Somebody has changed the searches since. Load the page again.')
  )
})
