import { Readable } from 'node:stream'
import { triedQuery } from '../../../shared/progress'
import { isReached, reachOf } from '../../utils/person'
import { checkedQuery, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { triedAsCsv, triedAsStatements } from '../../utils/tried'
import { route } from '../../utils/route'

/** Everything that was tried, of one learner or of all whom whoever asks reaches, as CSV or as xAPI statements. */
export default route({ least: 'teacher', whose: 'learners', writes: false }, (event) => {
  const { learner, as } = checkedQuery(event, triedQuery)
  const store = useStore()
  const only = reachOf(event)
  if (learner !== undefined && !(isReached(event, learner) && store.hasLearner(learner)))
    refuse(404, 'There is no such learner.')
  const csv = as === 'csv'
  setResponseHeader(event, 'content-type', csv ? 'text/csv; charset=utf-8' : 'application/json')
  const name = csv ? 'sett-tried.csv' : 'sett-statements.json'
  setResponseHeader(event, 'content-disposition', `attachment; filename="${name}"`)
  return Readable.from(csv ? triedAsCsv(store, only, learner) : triedAsStatements(store, only, learner))
})
