import { standingsQuery, type LearnerStanding } from '../../shared/courses'
import { mustReach } from '../utils/person'
import { checkedQuery } from '../utils/problem'
import { standingOf } from '../utils/standings'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** Where some learners stand on the room's course. */
export default route(
  { least: 'looker-on', whose: 'learners', writes: false },
  async (event): Promise<readonly LearnerStanding[]> => {
    const { learners } = checkedQuery(event, standingsQuery)
    const store = useStore()
    for (const id of learners) mustReach(event, id)
    const all: LearnerStanding[] = []
    for (const id of learners) if (store.hasLearner(id)) all.push(await standingOf(store, id))
    return all
  },
)
