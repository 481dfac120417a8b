import { scenesSchema } from '../../shared/scenes'
import { checkedBody, refuse } from '../utils/problem'
import { keepScenes } from '../utils/scenes'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** Keeps the scenes and people that the class has added to stories. */
export default route({ least: 'teacher', whose: 'nobody', writes: true }, async (event) => {
  const scenes = await checkedBody(event, scenesSchema)
  const store = useStore()
  const kept = keepScenes(store, scenes)
  if (kept) return kept
  return refuse(409, 'Somebody has changed the scenes since. Load them again.')
})
