import { noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

export default defineEventHandler((event) => {
  const store = useStore()
  const id = getRouterParam(event, 'id') ?? ''
  const kept = store.trial(id) ?? refuse(404, 'There is no such trial.')
  store.removeTrial(id)
  noteDone(event, 'deleted a trial', `${kept.kind}, ${kept.startedAt.slice(0, 10)}`)
  setResponseStatus(event, 204)
  return null
})
