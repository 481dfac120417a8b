import { everythingOf } from '../../utils/erasing'
import { asker, noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Everything that is kept of one learner, in one file. */
export default defineEventHandler((event) => {
  const file = everythingOf(useStore(), getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such learner.')
  if (asker(event).id !== null) noteDone(event, 'read everything kept of', file.learner)
  return file
})
