import { Readable } from 'node:stream'
import { everythingOf } from '../../utils/erasing'
import { mustReach, noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { route } from '../../utils/route'
import { useStore } from '../../utils/store'

/** Everything that is kept of one learner, in one file. That somebody read it is noted, without whose it was. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, (event) => {
  const id = getRouterParam(event, 'id') ?? ''
  mustReach(event, id)
  const store = useStore()
  const learner = store.learner(id) ?? refuse(404, 'There is no such learner.')
  noteDone(event, 'read everything kept of a learner')
  setResponseHeader(event, 'content-type', 'application/json')
  return Readable.from(everythingOf(store, learner))
})
