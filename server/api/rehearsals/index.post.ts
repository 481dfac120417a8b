import { isRightAnswer } from '../../../core/rehearse/index'
import { attempt } from '../../../core/index'
import { rehearsalSchema } from '../../../shared/schemas'
import { mustReach } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Keeps an answer of rehearsing. Whether it is right is found here, from what was asked; the same answer twice is one. */
export default defineEventHandler(async (event) => {
  const answer = await checkedBody(event, rehearsalSchema)
  const store = useStore()
  if (answer.learnerId !== null && !store.hasLearner(answer.learnerId))
    refuse(422, 'There is no such learner to keep this for.', [
      { pointer: '/learnerId', detail: 'No learner has this identifier.' },
    ])
  mustReach(event, answer.learnerId)
  if (store.erasedAt(answer.id) !== undefined) refuse(410, 'This answer was erased for good and is not taken back.')
  const right = attempt(() => isRightAnswer(answer.item, answer.given))
  if ('refused' in right) refuse(422, right.refused.message, [{ pointer: '/item', detail: right.refused.reason }])
  const kept = { ...answer, right: right.ok }
  store.keepAnswer(kept)
  return kept
})
