import { HOUR_MS } from '../../shared/days'

/** A helper who mistapped, or saved too soon, takes it back while the lesson goes on; after that, deleting is a teacher's. */
const SITTING_MS = 2 * HOUR_MS

/** Whether something was begun within the last two hours. */
export const isOfNow = ({ startedAt }: { readonly startedAt: string }): boolean =>
  Math.abs(Date.now() - Date.parse(startedAt)) < SITTING_MS
