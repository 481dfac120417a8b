import { daysFrom } from '../../shared/days'

const weekdayOf = (day: string): number => new Date(`${day}T12:00:00Z`).getUTCDay()

/** The five school days, Monday to Friday, of the week of a day; at a weekend those of the week that comes. */
export function schoolWeekOf(day: string): readonly string[] {
  const weekday = weekdayOf(day)
  const toMonday = weekday === 0 ? 1 : weekday === 6 ? 2 : 1 - weekday
  return [0, 1, 2, 3, 4].map((i) => daysFrom(day, toMonday + i))
}

/** A day's short name and number, as they stand in a week: Mon 30. */
export function shortDay(day: string): { readonly name: string; readonly number: number } {
  const date = new Date(Date.parse(`${day}T12:00:00Z`))
  return {
    name: new Intl.DateTimeFormat('en-GB', { weekday: 'short', timeZone: 'UTC' }).format(date),
    number: date.getUTCDate(),
  }
}
