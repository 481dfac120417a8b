import { glanceQuery } from '../../shared/learners'
import { glanceAt } from '../utils/glance'
import { asker } from '../utils/person'
import { checkedQuery } from '../utils/problem'
import { useStore } from '../utils/store'

/** How the learners of a group, or all of them, have been lately. */
export default defineEventHandler((event) =>
  glanceAt(useStore(), { ...checkedQuery(event, glanceQuery), only: asker(event).only, now: new Date() }),
)
