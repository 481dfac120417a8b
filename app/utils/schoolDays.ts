import { dayIn, daysFrom } from '../../shared/days'
import { useClassroom } from '../stores/classroom'

export { dayInWords } from '../../shared/days'

/** Days as the school has them: every page asks here what day something was, and what day it is. */

/** The day of a moment, by the school's own clock. */
export const dayOf = (moment: string | number): string => dayIn(useClassroom().zone, moment)
/** Today at school, or so many days from it. */
export const today = (by = 0): string => daysFrom(dayOf(Date.now()), by)
