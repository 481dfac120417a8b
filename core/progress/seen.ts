/** On which days somebody was seen, and where there were gaps. Days are YYYY-MM-DD; schooldays are Monday to Friday, holidays are not known. */

import { DAY_MS } from '../days'

const time = (day: string): number => Date.parse(`${day}T00:00:00Z`)
const dayAt = (ms: number): string => new Date(ms).toISOString().slice(0, 10)
const isSchoolday = (ms: number): boolean => ![0, 6].includes(new Date(ms).getUTCDay())

export interface Seen {
  /** Weekdays of the period on which nothing was tried. */
  readonly away: number
  /** Weekdays of the period. */
  readonly of: number
  readonly last: string | null
  /** The longest run of weekdays without anything, where one is of five or more: its first and last day. */
  readonly gap: { readonly from: string; readonly to: string; readonly days: number } | null
}

/** Of the weekdays from one day to another, both counted. A thousand days are looked at, the latest. */
export function daysNotSeen(seen: readonly string[], from: string, to: string): Seen {
  const there = new Set(seen)
  const end = time(to)
  let [away, of, run] = [0, 0, [] as string[]]
  let longest: string[] = []
  for (let ms = Math.max(time(from), end - 999 * DAY_MS); ms <= end; ms += DAY_MS) {
    const day = dayAt(ms)
    if (there.has(day)) run = []
    if (!isSchoolday(ms)) continue
    of += 1
    if (there.has(day)) continue
    away += 1
    run.push(day)
    if (run.length > longest.length) longest = [...run]
  }
  const last = seen.filter((d) => d <= to).reduce<string | null>((a, d) => (a === null || d > a ? d : a), null)
  const gap = longest.length >= 5 ? { from: longest[0]!, to: longest.at(-1)!, days: longest.length } : null
  return { away, of, last, gap }
}

/** The same in words; `inWords` writes a day. */
export function toldOfSeen({ away, of, last, gap }: Seen, inWords: (day: string) => string): string {
  if (of === 0) return ''
  const said = [
    away === 0
      ? `Seen on each of the last ${of} weekdays.`
      : `Not seen on ${away} of the last ${of} weekdays${last ? `; last seen on ${inWords(last)}` : ''}.`,
  ]
  if (gap) said.push(`The longest time without: ${gap.days} weekdays, from ${inWords(gap.from)} to ${inWords(gap.to)}.`)
  return said.join(' ')
}
