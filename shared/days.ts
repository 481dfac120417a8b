import { format, subMonths } from 'date-fns'
import { DAY_MS, WEEK_MS } from '../core/door'

/** What day something was, for the school: the one place where days are told from moments. */

export { DAY_MS, WEEK_MS }
export const HOUR_MS = DAY_MS / 24

/** The time zone of this computer, by its IANA name (`Pacific/Auckland`). */
export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone

/** Whether there is such a time zone. */
export function isZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name })
    return name !== ''
  } catch {
    return false
  }
}

const clocks = new Map<string, Intl.DateTimeFormat>()
function clockOf(zone: string): Intl.DateTimeFormat {
  const clock =
    clocks.get(zone) ??
    new Intl.DateTimeFormat('en-GB', { timeZone: zone, year: 'numeric', month: '2-digit', day: '2-digit' })
  clocks.set(zone, clock)
  return clock
}

/** The day of a moment in a time zone, as `2026-11-24`. Moments are milliseconds, or text as `Date.parse` reads it. */
export function dayIn(zone: string, moment: number | string): string {
  const [day, month, year] = clockOf(zone).format(new Date(moment)).split('/') as [string, string, string]
  return `${year.padStart(4, '0')}-${month}-${day}`
}

/** A day so many days later, or earlier. Days are counted on the calendar, whatever clocks do. */
export const daysFrom = (day: string, by: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + by * DAY_MS).toISOString().slice(0, 10)

/** How many days after one day another one is. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY_MS)

/** Monday 1 December. */
export const dayInWords = (day: string): string => format(new Date(`${day}T12:00:00`), 'EEEE d MMMM')

/** A day so many calendar months earlier: the last day of its month where that month has no such day (31 May, three less: 28 February). */
export function monthsBefore(day: string, months: number): string {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number]
  const before = subMonths(new Date(year, month - 1, date, 12), months)
  const two = (n: number): string => String(n).padStart(2, '0')
  return `${String(before.getFullYear()).padStart(4, '0')}-${two(before.getMonth() + 1)}-${two(before.getDate())}`
}
