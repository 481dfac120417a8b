import { recordFileQuery } from '../../../shared/schemas'
import { Readable } from 'node:stream'
import { fileOf } from '../../utils/keep'
import type { Damaged } from '../../db/sums'
import { ofReached } from '../../utils/files'
import { isReached, reachedRecord, reachOf } from '../../utils/person'
import { checkedQuery, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** A file of records: one (`?record=`), all of one learner (`?learner=`), or of all whom whoever asks reaches. */
export default route({ least: 'teacher', whose: 'learners', writes: false }, (event) => {
  const { record, learner } = checkedQuery(event, recordFileQuery)
  const store = useStore()
  const only = reachOf(event)
  const head = record === undefined ? undefined : reachedRecord(event, record)
  if (learner !== undefined && !(isReached(event, learner) && store.hasLearner(learner)))
    refuse(404, 'There is no such learner.')
  const name = head ? `${store.learner(head.learnerId)!.codeName}-${head.day}` : 'records'
  const records = (damaged: Damaged) =>
    head ? [store.record(head.id)!] : ofReached((id) => store.records(id, damaged), learner, only)
  setResponseHeader(event, 'content-type', 'application/json')
  setResponseHeader(event, 'content-disposition', `attachment; filename="sett-${encodeURIComponent(name)}.json"`)
  return Readable.from(fileOf(store, records))
})
