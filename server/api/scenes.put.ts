import { isDeepStrictEqual } from 'node:util'
import { scenesSchema } from '../../shared/scenes'
import { checkedBody, refuse } from '../utils/problem'
import { keepScenes, scenesOf } from '../utils/scenes'
import { useStore } from '../utils/store'

/** Keeps the scenes and people that the class has added to stories. */
export default defineEventHandler(async (event) => {
  const scenes = await checkedBody(event, scenesSchema)
  const store = useStore()
  const kept = keepScenes(store, scenes)
  if (kept) return kept
  // Sent again because the answer was lost on the way: it is kept already.
  const there = scenesOf(store)
  if (isDeepStrictEqual(there, { ...scenes, version: scenes.version + 1 })) return there
  return refuse(409, 'Somebody has changed the scenes since. Load them again.')
})
