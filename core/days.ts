/** How long a day and a week are, in milliseconds of a calendar without clocks that change. */
export const DAY_MS = 86_400_000
export const WEEK_MS = 7 * DAY_MS
