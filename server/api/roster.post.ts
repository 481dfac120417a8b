import { rosterSchema } from '../../shared/learners'
import { noteDone } from '../utils/person'
import { checkedBody } from '../utils/problem'
import { takeRoster } from '../utils/roster'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** The largest list that is read, in bytes. */
const MAX_BYTES = 2_000_000

/** Takes in learners from a school's own list, all of them or none. */
export default route({ least: 'teacher', whose: 'school', writes: true }, async (event) => {
  const roster = await checkedBody(event, rosterSchema, MAX_BYTES)
  const taken = takeRoster(useStore(), roster)
  noteDone(event, 'took in a class list', `${taken.added} new, ${taken.changed} changed, ${taken.putAway} put away`)
  return taken
})
