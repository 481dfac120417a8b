import { glanceQuery } from '../../shared/learners'
import { glanceAt } from '../utils/glance'
import { reachOf } from '../utils/person'
import { checkedQuery } from '../utils/problem'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** How the learners of a group, or all of them, have been lately. */
export default route({ least: 'looker-on', whose: 'learners', writes: false }, (event) =>
  glanceAt(useStore(), { ...checkedQuery(event, glanceQuery), only: reachOf(event), now: Date.now() }),
)
