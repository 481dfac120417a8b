import { keepingSchema } from '../../shared/people'
import { setKeeping } from '../utils/keeping'
import { noteDone } from '../utils/person'
import { checkedBody } from '../utils/problem'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** Sets how long things are kept; it holds from tomorrow. */
export default route({ least: 'keeper', whose: 'school', writes: true }, async (event) => {
  const keeping = await checkedBody(event, keepingSchema)
  setKeeping(useStore(), keeping, Date.now())
  const months = keeping.recordMonths === 0 ? 'records for good' : `records ${keeping.recordMonths} months`
  noteDone(
    event,
    'set how long things are kept',
    `${months}, ${keeping.backups} backups, the log ${keeping.logDays} days`,
  )
  return keeping
})
