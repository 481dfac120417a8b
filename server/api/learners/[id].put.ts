import { isDeepStrictEqual } from 'node:util'
import { learnerSchema } from '../../../shared/learners'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Changes a learner: their code name, groups, what suits them, and whether they are put away. */
export default defineEventHandler(async (event) => {
  const learner = await checkedBody(event, learnerSchema)
  const store = useStore()
  if (learner.id !== (getRouterParam(event, 'id') ?? '').toLowerCase())
    refuse(422, 'The learner has another identifier than the address.', [
      { pointer: '/id', detail: 'The identifier of the address is wanted.' },
    ])
  const there = store.learner(learner.id) ?? refuse(404, 'There is no such learner.')
  const namesake = store.learnerNamed(learner.codeName)
  if (namesake && namesake.id !== learner.id)
    refuse(409, `There is a learner called ${namesake.codeName} already.`, [
      { pointer: '/codeName', detail: 'Choose another code name.' },
    ])
  const kept = store.keepLearner(learner)
  if (kept) return kept
  // Sent again because the answer was lost on the way: it is kept already.
  if (isDeepStrictEqual(there, { ...learner, version: learner.version + 1 })) return there
  return refuse(409, `Somebody has changed ${there.codeName} since. Load the page again.`)
})
