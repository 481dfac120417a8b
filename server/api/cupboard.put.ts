import { isDeepStrictEqual } from 'node:util'
import { cupboardSchema } from '../../shared/cupboard'
import { cupboardOf, keepCupboard } from '../utils/cupboard'
import { checkedBody, refuse } from '../utils/problem'
import { useStore } from '../utils/store'

/** Keeps what the school has of pieces. */
export default defineEventHandler(async (event) => {
  const cupboard = await checkedBody(event, cupboardSchema)
  const store = useStore()
  const kept = keepCupboard(store, cupboard)
  if (kept) return kept
  // Sent again because the answer was lost on the way: it is kept already.
  const there = cupboardOf(store)
  if (isDeepStrictEqual(there, { ...cupboard, version: cupboard.version + 1 })) return there
  return refuse(409, 'Somebody has changed the cupboard since. Load it again.')
})
