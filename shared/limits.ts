import { DAY_MS } from './days'

/** The longest that an answer is taken to have needed, in milliseconds: a question left open over night counts as a day. */
export const MOST_ANSWER_MS = DAY_MS
/** How long one piece of work may lie open, in milliseconds: a year. */
export const MOST_WORK_MS = 366 * DAY_MS
/** How long a passphrase is at the least: three or four words that nobody would guess are better than eight odd signs. */
export const LEAST_PASSPHRASE = 12

/** So many answers are given at once; whoever gets fewer has them all. */
export const ANSWERS_A_PAGE = 500
/** The place of an answer in the order of time, for the page after it. */
export const answerKey = ({ at, id }: { readonly at: number; readonly id: string }): string => `${at}_${id}`
