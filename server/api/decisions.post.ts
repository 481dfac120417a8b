import { decisionSchema } from '../../shared/progress'
import { mustReach } from '../utils/person'
import { checkedBody, refuse } from '../utils/problem'
import { useStore } from '../utils/store'

/** Keeps what was decided about what the figures suggest. */
export default defineEventHandler(async (event) => {
  const decision = await checkedBody(event, decisionSchema)
  const store = useStore()
  if (!store.hasLearner(decision.learnerId))
    refuse(422, 'There is no such learner to keep this for.', [
      { pointer: '/learnerId', detail: 'No learner has this identifier.' },
    ])
  mustReach(event, decision.learnerId)
  store.keepDecision(decision)
  return decision
})
