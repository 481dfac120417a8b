import { rulesSchema } from '../../shared/progress'
import { noteDone } from '../utils/person'
import { checkedBody, refuse } from '../utils/problem'
import { keepRules } from '../utils/rules'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** Sets the rules that suggestions go by. */
export default route({ least: 'teacher', whose: 'nobody', writes: true }, async (event) => {
  const rules = await checkedBody(event, rulesSchema)
  const store = useStore()
  const kept = keepRules(store, rules)
  if (kept) {
    noteDone(
      event,
      'set the rules of suggestions',
      `move on at ${rules.moveOnShare} in ${rules.moveOnSessions} sessions`,
    )
    return kept
  }
  return refuse(409, 'Somebody has changed the rules since. Load them again.')
})
