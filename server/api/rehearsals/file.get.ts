import { rehearsalQuery } from '../../../shared/schemas'
import { mustReach } from '../../utils/person'
import { checkedQuery, refuse } from '../../utils/problem'
import { rehearsalsToFile } from '../../utils/rehearsals'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** A file of all answers of one learner, or of the teacher's own. */
export default route({ least: 'teacher', whose: 'learners', writes: false }, (event) => {
  const { of } = checkedQuery(event, rehearsalQuery)
  const store = useStore()
  mustReach(event, of === 'teacher' ? null : of)
  const learner = of === 'teacher' ? null : (store.learner(of) ?? refuse(404, 'There is no such learner.'))
  const name = encodeURIComponent(learner?.codeName ?? 'teacher')
  setResponseHeader(event, 'content-disposition', `attachment; filename="sett-rehearsals-${name}.json"`)
  return rehearsalsToFile(store, store.answers(learner?.id ?? null))
})
