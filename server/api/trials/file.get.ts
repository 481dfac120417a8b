import { Readable } from 'node:stream'
import { trialFileQuery } from '../../../shared/trials'
import { ofReached } from '../../utils/files'
import { isReached, reachOf } from '../../utils/person'
import { checkedQuery, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { trialsToFile } from '../../utils/trials'
import { route } from '../../utils/route'

/** A file of the trials of one learner, or of all whom whoever asks reaches. */
export default route({ least: 'teacher', whose: 'learners', writes: false }, (event) => {
  const { learner } = checkedQuery(event, trialFileQuery)
  const store = useStore()
  const only = reachOf(event)
  if (learner !== undefined && !(isReached(event, learner) && store.hasLearner(learner)))
    refuse(404, 'There is no such learner.')
  setResponseHeader(event, 'content-disposition', 'attachment; filename="sett-trials.json"')
  setResponseHeader(event, 'content-type', 'application/json')
  return Readable.from(trialsToFile(store, (damaged) => ofReached((id) => store.trials(id, damaged), learner, only)))
})
