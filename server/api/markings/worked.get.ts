import { ofLearnerQuery, type AnsweredAlone } from '../../../shared/marking'
import { answersAlone } from '../../utils/marking'
import { mustReach } from '../../utils/person'
import { checkedQuery } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** What a learner answered alone at the Bench lately, as a page to be marked, the oldest first. */
export default route(
  { least: 'looker-on', whose: 'learners', writes: false },
  async (event): Promise<AnsweredAlone> => {
    const { learner } = checkedQuery(event, ofLearnerQuery)
    mustReach(event, learner)
    return { items: await answersAlone(useStore(), learner) }
  },
)
