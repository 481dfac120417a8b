/** Kinds of mistake over time: how often each was seen, week by week. */

import { DAY_MS } from '../days'

/** The Monday of a day's week, as YYYY-MM-DD. */
function weekOf(day: string): string {
  const at = new Date(`${day}T00:00:00Z`)
  return new Date(at.getTime() - ((at.getUTCDay() + 6) % 7) * DAY_MS).toISOString().slice(0, 10)
}

export interface SlipWeeks {
  /** Mondays, one after another without a gap. */
  readonly weeks: readonly string[]
  /** Kinds of mistake, the one seen most first; `counts` goes with `weeks`. */
  readonly kinds: readonly { readonly slip: string; readonly total: number; readonly counts: readonly number[] }[]
}

/** The kinds seen most, at most so many, over at most so many weeks, the latest. */
export function slipsByWeek(
  slips: readonly { readonly slip: string; readonly day: string; readonly count: number }[],
  { most = 6, weeks: mostWeeks = 40 }: { readonly most?: number; readonly weeks?: number } = {},
): SlipWeeks {
  if (slips.length === 0) return { weeks: [], kinds: [] }
  const days = slips.map((s) => s.day)
  const [first, last] = [weekOf(days.reduce((a, b) => (a < b ? a : b))), weekOf(days.reduce((a, b) => (a > b ? a : b)))]
  const all: string[] = []
  for (let ms = Date.parse(last); ms >= Date.parse(first) && all.length < mostWeeks; ms -= 7 * DAY_MS)
    all.unshift(new Date(ms).toISOString().slice(0, 10))
  const kinds = new Map<string, number[]>()
  for (const { slip, day, count } of slips) {
    const at = all.indexOf(weekOf(day))
    if (at < 0) continue
    const counts = kinds.get(slip) ?? all.map(() => 0)
    counts[at]! += count
    kinds.set(slip, counts)
  }
  return {
    weeks: all,
    kinds: [...kinds]
      .map(([slip, counts]) => ({ slip, counts, total: counts.reduce((a, b) => a + b, 0) }))
      .sort((a, b) => b.total - a.total || (a.slip < b.slip ? -1 : 1))
      .slice(0, most),
  }
}
