import { rehearsalQuery } from '../../../shared/schemas'
import { checkedQuery, refuse } from '../../utils/problem'
import { rehearsalsToFile } from '../../utils/rehearsals'
import { useStore } from '../../utils/store'

/** A file of all answers of one learner, or of the teacher's own. */
export default defineEventHandler((event) => {
  const { of } = checkedQuery(event, rehearsalQuery)
  const store = useStore()
  const learner = of === 'teacher' ? null : (store.learner(of) ?? refuse(404, 'There is no such learner.'))
  const name = encodeURIComponent(learner?.codeName ?? 'teacher')
  setResponseHeader(event, 'content-disposition', `attachment; filename="sett-rehearsals-${name}.json"`)
  return rehearsalsToFile(store, store.answers(learner?.id ?? null))
})
