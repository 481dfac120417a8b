import { isRightAnswer } from '../../../core/rehearse/index'
import { attempt } from '../../../core/index'
import { rehearsalSchema } from '../../../shared/schemas'
import { asItIs, mayKeep, mustBeKnown } from '../../utils/mayKeep'
import { mustReach } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Keeps an answer of rehearsing. Whether it is right is found here, from what was asked; the same answer twice is one. */
export default route({ least: 'helper', whose: 'learners', writes: true }, async (event) => {
  const answer = await checkedBody(event, rehearsalSchema)
  const store = useStore()
  mustBeKnown(store, answer.learnerId)
  mustReach(event, answer.learnerId)
  const right = attempt(() => isRightAnswer(answer.item, answer.given))
  if ('refused' in right) refuse(422, right.refused.message, [{ pointer: '/item', detail: right.refused.reason }])
  const kept = { ...answer, right: right.ok }
  if (mayKeep(store, kept, store.answer(kept.id), asItIs(kept)) === 'new') store.keepAnswer(kept)
  return kept
})
