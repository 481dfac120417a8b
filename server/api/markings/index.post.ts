import { markingSchema } from '../../../shared/marking'
import { markPage } from '../../utils/marking'
import { mustReach } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Keeps a marked page. What it says is found here, from the answers; the same page twice is one. */
export default defineEventHandler(async (event) => {
  const page = await checkedBody(event, markingSchema)
  const store = useStore()
  if (store.erasedAt(page.learnerId) !== undefined)
    refuse(410, 'This learner was erased for good; nothing more is kept of them.')
  if (!store.hasLearner(page.learnerId))
    refuse(422, 'There is no such learner to keep this for.', [
      { pointer: '/learnerId', detail: 'No learner has this identifier.' },
    ])
  mustReach(event, page.learnerId)
  const before = store.marking(page.id)
  if (before && before.learnerId !== page.learnerId)
    refuse(409, 'Another page is kept under this identifier; it stays as it is.', [
      { pointer: '/id', detail: 'This identifier is taken.' },
    ])
  const said = markPage(page, store.classroom())
  if ('pointer' in said) refuse(422, said.detail, [said])
  const { slipRate: _, ...kept } = page
  store.keepMarking({ ...kept, said })
  return store.marking(page.id)
})
