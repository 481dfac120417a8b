import { Readable } from 'node:stream'
import { triedQuery } from '../../../shared/progress'
import { checkedQuery, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { triedAsCsv, triedAsStatements } from '../../utils/tried'

/** Everything that was tried, of all or of one learner, as CSV or as xAPI statements. */
export default defineEventHandler((event) => {
  const { learner, as } = checkedQuery(event, triedQuery)
  const store = useStore()
  if (learner !== undefined && !store.hasLearner(learner)) refuse(404, 'There is no such learner.')
  const csv = as === 'csv'
  setResponseHeader(event, 'content-type', csv ? 'text/csv; charset=utf-8' : 'application/json')
  const name = csv ? 'sett-tried.csv' : 'sett-statements.json'
  setResponseHeader(event, 'content-disposition', `attachment; filename="${name}"`)
  return sendStream(event, Readable.from(csv ? triedAsCsv(store, learner) : triedAsStatements(store, learner)))
})
