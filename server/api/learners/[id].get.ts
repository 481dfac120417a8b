import { Readable } from 'node:stream'
import { mayWrite } from '../../utils/alone'
import { everythingOf } from '../../utils/erasing'
import { asker, noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Everything that is kept of one learner, in one file. That it was read is noted. */
export default defineEventHandler(async (event) => {
  const noted = asker(event).id !== null
  if (noted) await mayWrite(event)
  const store = useStore()
  const learner = store.learner(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such learner.')
  if (noted) noteDone(event, 'read everything kept of', learner.codeName)
  setResponseHeader(event, 'content-type', 'application/json')
  return sendStream(event, Readable.from(everythingOf(store, learner)))
})
