import { learnerSchema } from '../../../shared/learners'
import { mustBeFreeName, mustKeepTeams } from '../../utils/learners'
import { mustReach } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { route } from '../../utils/route'
import { useStore } from '../../utils/store'

/** Changes a learner: their code name, groups, what suits them, and whether they are put away. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, async (event) => {
  const learner = await checkedBody(event, learnerSchema)
  const store = useStore()
  if (learner.id !== (getRouterParam(event, 'id') ?? '').toLowerCase())
    refuse(422, 'The learner has another identifier than the address.', [
      { pointer: '/id', detail: 'The identifier of the address is wanted.' },
    ])
  mustReach(event, learner.id)
  const there = store.learner(learner.id) ?? refuse(404, 'There is no such learner.')
  mustBeFreeName(store, learner)
  mustKeepTeams(event, store, there.groups, learner.groups)
  return store.keepLearner(learner) ?? refuse(409, `Somebody has changed ${there.codeName} since. Load the page again.`)
})
