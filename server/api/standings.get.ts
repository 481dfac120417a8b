import { standingsQuery, type LearnerStanding } from '../../shared/courses'
import { mustReach } from '../utils/person'
import { checkedQuery } from '../utils/problem'
import { standingOf } from '../utils/standings'
import { useStore } from '../utils/store'

/** Where some learners stand on the room's course. */
export default defineEventHandler(async (event): Promise<readonly LearnerStanding[]> => {
  const { learners } = checkedQuery(event, standingsQuery)
  const store = useStore()
  for (const id of learners) mustReach(event, id)
  const all: LearnerStanding[] = []
  for (const id of learners) if (store.hasLearner(id)) all.push(await standingOf(store, id))
  return all
})
