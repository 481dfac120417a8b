import { recordFileQuery } from '../../../shared/schemas'
import { Readable } from 'node:stream'
import { fileOf } from '../../utils/keep'
import { checkedQuery, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** A file of records: one (`?record=`), all of one learner (`?learner=`), or all. */
export default defineEventHandler((event) => {
  const { record, learner } = checkedQuery(event, recordFileQuery)
  const store = useStore()
  const one = record === undefined ? undefined : (store.record(record) ?? refuse(404, 'There is no such record.'))
  if (learner !== undefined && !store.hasLearner(learner)) refuse(404, 'There is no such learner.')
  const name = one ? `${store.learner(one.learnerId)!.codeName}-${one.startedAt.slice(0, 10)}` : 'records'
  setResponseHeader(event, 'content-type', 'application/json')
  setResponseHeader(event, 'content-disposition', `attachment; filename="sett-${encodeURIComponent(name)}.json"`)
  return sendStream(event, Readable.from(fileOf(store, one ? [one] : store.records(learner ?? null))))
})
