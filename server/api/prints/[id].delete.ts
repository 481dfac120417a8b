import { noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Removes a print set. */
export default route({ least: 'teacher', whose: 'nobody', writes: true }, (event) => {
  const store = useStore()
  const set = store.printSet(getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such print set.')
  store.removePrintSet(set.id)
  noteDone(event, 'removed a print set', set.title)
  return { removed: true }
})
