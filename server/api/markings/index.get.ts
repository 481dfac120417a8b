import { MOST_MARKINGS, ofLearnerQuery } from '../../../shared/marking'
import { mustReach } from '../../utils/person'
import { checkedQuery } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** A learner's marked pages, the newest first. */
export default route({ least: 'looker-on', whose: 'learners', writes: false }, (event) => {
  const { learner } = checkedQuery(event, ofLearnerQuery)
  mustReach(event, learner)
  return useStore().markings(learner, MOST_MARKINGS)
})
