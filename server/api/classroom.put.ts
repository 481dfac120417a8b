import { classroomSentSchema } from '../../shared/schemas'
import { zoneOf } from '../db/open'
import { checkedBody } from '../utils/problem'
import { route } from '../utils/route'
import { useStore } from '../utils/store'
import { moveTo } from '../utils/zone'

/** Keeps the room. Where its time zone is another from now on, the days of all that was tried are told anew. */
export default route({ least: 'teacher', whose: 'nobody', writes: true }, async (event) => {
  const { zone, ...classroom } = await checkedBody(event, classroomSentSchema)
  useStore().setClassroom(classroom)
  if (zone !== undefined) await moveTo(event, zone)
  return { ...classroom, zone: zoneOf(useStore().db) }
})
