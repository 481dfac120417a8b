import { cupboardSchema } from '../../shared/cupboard'
import { keepCupboard } from '../utils/cupboard'
import { checkedBody, refuse } from '../utils/problem'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** Keeps what the school has of pieces. */
export default route({ least: 'teacher', whose: 'nobody', writes: true }, async (event) => {
  const cupboard = await checkedBody(event, cupboardSchema)
  const store = useStore()
  const kept = keepCupboard(store, cupboard)
  if (kept) return kept
  return refuse(409, 'Somebody has changed the cupboard since. Load it again.')
})
