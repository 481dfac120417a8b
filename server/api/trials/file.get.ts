import { Readable } from 'node:stream'
import { trialFileQuery } from '../../../shared/trials'
import { checkedQuery, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { trialsToFile } from '../../utils/trials'

/** A file of all trials, or of one learner's. */
export default defineEventHandler((event) => {
  const { learner } = checkedQuery(event, trialFileQuery)
  const store = useStore()
  if (learner !== undefined && !store.hasLearner(learner)) refuse(404, 'There is no such learner.')
  setResponseHeader(event, 'content-disposition', 'attachment; filename="sett-trials.json"')
  setResponseHeader(event, 'content-type', 'application/json')
  return sendStream(event, Readable.from(trialsToFile(store, store.trials(learner ?? null))))
})
