import { toFile } from '../../utils/keep'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** A file of records: one (`?record=`), all of one learner (`?learner=`), or all. */
export default defineEventHandler((event) => {
  const { record, learner } = getQuery(event)
  const store = useStore()
  const one = typeof record === 'string' ? (store.record(record) ?? refuse(404, 'There is no such record.')) : undefined
  const file = toFile(store, one ? [one] : store.records(typeof learner === 'string' ? learner : null))
  const name = one ? `${file.records[0]!.learner}-${one.startedAt.slice(0, 10)}` : 'records'
  setResponseHeader(event, 'content-disposition', `attachment; filename="sett-${encodeURIComponent(name)}.json"`)
  return file
})
