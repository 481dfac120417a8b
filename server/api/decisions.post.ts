import { decisionSchema } from '../../shared/progress'
import { asItIs, mayKeep, mustBeKnown } from '../utils/mayKeep'
import { mustReach } from '../utils/person'
import { checkedBody } from '../utils/problem'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** Keeps what was decided about what the figures suggest. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, async (event) => {
  const decision = await checkedBody(event, decisionSchema)
  const store = useStore()
  mustBeKnown(store, decision.learnerId)
  mustReach(event, decision.learnerId)
  if (mayKeep(store, decision, store.decision(decision.id), asItIs(decision)) === 'new') store.keepDecision(decision)
  return decision
})
