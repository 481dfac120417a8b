import { toldSchema } from '../../../../shared/courses'
import { asker, mustReach, noteDone } from '../../../utils/person'
import { checkedBody, refuse } from '../../../utils/problem'
import { useStore } from '../../../utils/store'
import { route } from '../../../utils/route'

/** Says which steps a learner knows, or does not know yet. Answers what was said of them before, so that it can be undone. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, async (event) => {
  const id = getRouterParam(event, 'id') ?? ''
  mustReach(event, id)
  const store = useStore()
  if (!store.hasLearner(id)) refuse(404, 'There is no such learner.')
  const { told, placed } = await checkedBody(event, toldSchema)
  const before = store.tellSteps(id, told, { at: new Date().toISOString(), by: asker(event).name, placed })
  noteDone(event, placed ? 'took over a placement' : 'said what a learner knows')
  return { before }
})
