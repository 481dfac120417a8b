import { printSetSchema } from '../../../shared/prints'
import { noteDone } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

const MOST_SETS = 400

/** Keeps a print set; the same one sent twice from the same version is one. */
export default route({ least: 'teacher', whose: 'nobody', writes: true }, async (event) => {
  const set = await checkedBody(event, printSetSchema)
  if (set.id !== getRouterParam(event, 'id')) refuse(422, 'The address names another print set.')
  const store = useStore()
  if (!store.printSet(set.id) && store.printSets().length >= MOST_SETS)
    refuse(422, `At most ${MOST_SETS} print sets are kept. Remove one that is not used any more.`)
  const kept = store.keepPrintSet(set)
  if (!kept) refuse(409, 'Somebody has changed this print set since. Load it again.')
  noteDone(event, set.version === 0 ? 'kept a print set' : 'changed a print set', set.title)
  return kept
})
