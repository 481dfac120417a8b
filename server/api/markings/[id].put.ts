import { withdrawSchema } from '../../../shared/marking'
import { mustReach, noteDone } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Withdraws what a page said, with a word why, or lets it stand again. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, async (event) => {
  const { withdrawn } = await checkedBody(event, withdrawSchema)
  const store = useStore()
  const marking = store.marking(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such marked page.')
  mustReach(event, marking.learnerId)
  store.withdrawMarking(marking.id, withdrawn)
  noteDone(
    event,
    withdrawn === null ? 'let a marked page stand again' : 'withdrew a marked page',
    marking.markedAt.slice(0, 10),
  )
  return store.marking(marking.id)
})
