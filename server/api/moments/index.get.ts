import { z } from 'zod'
import { uuid } from '../../../shared/fields'
import { mustReach } from '../../utils/person'
import { checkedQuery } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

const query = z.strictObject({ learner: uuid })

/** Moments of a learner's work that were chosen to be shown. */
export default route({ least: 'looker-on', whose: 'learners', writes: false }, (event) => {
  const { learner } = checkedQuery(event, query)
  mustReach(event, learner)
  return useStore().moments(learner)
})
