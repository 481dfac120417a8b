import { asker, reachOf } from '../utils/person'
import { searchesOf } from '../utils/searches'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** How whoever asks narrowed the Daybook before, under names. */
export default route({ least: 'looker-on', whose: 'learners', writes: false }, (event) => {
  reachOf(event)
  return searchesOf(useStore(), asker(event))
})
