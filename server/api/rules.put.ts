import { isDeepStrictEqual } from 'node:util'
import { rulesSchema } from '../../shared/progress'
import { noteDone } from '../utils/person'
import { checkedBody, refuse } from '../utils/problem'
import { keepRules, rulesOf } from '../utils/rules'
import { useStore } from '../utils/store'

/** Sets the rules that suggestions go by. */
export default defineEventHandler(async (event) => {
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
  // Sent again because the answer was lost on the way: it is kept already.
  const there = rulesOf(store)
  if (isDeepStrictEqual(there, { ...rules, version: rules.version + 1 })) return there
  return refuse(409, 'Somebody has changed the rules since. Load them again.')
})
