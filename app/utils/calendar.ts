import type { Lesson } from '../../shared/lessons'

/** Minutes from a day's time of day on, as a local time without a zone: a lesson is at half past nine wherever the school is. */
const at = (day: string, time: string, minutes = 0): Date =>
  new Date(Date.parse(`${day}T${time}:00Z`) + minutes * 60_000)

/** What of a lesson goes into a calendar. */
export interface CalendarLesson extends Pick<Lesson, 'id' | 'day' | 'at' | 'minutes' | 'version'> {
  readonly names: readonly string[]
  readonly steps: readonly string[]
}

/** Lessons as an iCalendar file (RFC 5545), code names only; its library is fetched for it. */
export async function calendarOf(lessons: readonly CalendarLesson[], now = new Date()): Promise<string> {
  const { default: ical } = await import('ical-generator')
  const calendar = ical({ prodId: { company: 'Sett', product: 'Sett', language: 'EN' } })
  for (const lesson of lessons)
    calendar.createEvent({
      id: `${lesson.id}@sett.invalid`,
      // Sent again after a change, it takes the place of the earlier one.
      sequence: lesson.version,
      stamp: now,
      start: at(lesson.day, lesson.at),
      end: at(lesson.day, lesson.at, lesson.minutes),
      floating: true,
      timezone: 'UTC',
      summary: `Lesson: ${lesson.names.join(', ')}`,
      description: lesson.steps.join('\n'),
    })
  return `${calendar.toString().trimEnd()}\r\n`
}
