import { dayIn, daysFrom, HOUR_MS } from '../../shared/days'
import { useClassroom } from '../stores/classroom'

export { dayInWords } from '../../shared/days'

/** Days as the school has them: every page asks here what day something was, and what day it is. */

/** The day of a moment, by the school's own clock. */
export const dayOf = (moment: string | number): string => dayIn(useClassroom().zone, moment)
/** Today at school, or so many days from it. */
export const today = (by = 0): string => daysFrom(dayOf(Date.now()), by)

/** The time of a moment by the school's clock, as 09:30. */
export const timeOf = (moment: number): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: useClassroom().zone, hour: '2-digit', minute: '2-digit' }).format(moment)

/** School hours in which a lesson is proposed (common practice). */
const [FIRST, LAST] = ['09:00', '15:00'] as const
/** When a lesson is proposed for: the next full or half hour of school, else nine o'clock of the next school day. */
export function nextLessonTime(now = Date.now()): { readonly day: string; readonly at: string } {
  const HALF_HOUR = HOUR_MS / 2
  const soon = Math.ceil(now / HALF_HOUR) * HALF_HOUR
  const [day, at] = [dayOf(soon), timeOf(soon)]
  const isSchoolday = (d: string): boolean => ![0, 6].includes(new Date(`${d}T12:00:00Z`).getUTCDay())
  if (isSchoolday(day) && at >= FIRST && at <= LAST) return { day, at }
  let next = isSchoolday(day) && at < FIRST ? day : daysFrom(day, 1)
  while (!isSchoolday(next)) next = daysFrom(next, 1)
  return { day: next, at: FIRST }
}
