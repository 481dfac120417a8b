import { markingSchema } from '../../../shared/marking'
import { markPage } from '../../utils/marking'
import { asItIs, mayKeep, mustBeKnown } from '../../utils/mayKeep'
import { mustReach } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Keeps a marked page. What it says is found here, from the answers; the same page twice is one. */
export default route({ least: 'helper', whose: 'learners', writes: true }, async (event) => {
  const page = await checkedBody(event, markingSchema)
  const store = useStore()
  mustBeKnown(store, page.learnerId)
  mustReach(event, page.learnerId)
  const { slipRate: _, ...sent } = page
  const asSent = asItIs({ ...sent })
  const standing = mayKeep(store, page, store.marking(page.id), ({ said: _, withdrawn: __, ...kept }) => asSent(kept))
  if (standing === 'same') return store.marking(page.id)
  const said = markPage(page, store.classroom())
  if ('pointer' in said) refuse(422, said.detail, [said])
  store.keepMarking({ ...sent, said })
  return store.marking(page.id)
})
