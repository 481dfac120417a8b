import { progressQuery } from '../../shared/progress'
import { mustReach } from '../utils/person'
import { checkedQuery } from '../utils/problem'
import { progressOf } from '../utils/learnerProgress'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** What a learner tried, day by day, with their goals and what was decided. */
export default route({ least: 'looker-on', whose: 'learners', writes: false }, (event) => {
  const { learner, ...of } = checkedQuery(event, progressQuery)
  mustReach(event, learner)
  return progressOf(useStore(), learner, of)
})
