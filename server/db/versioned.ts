import { isDeepStrictEqual } from 'node:util'

/** What several people may change: its version counts the changes, and is 0 before there is any. */
export interface Versioned {
  readonly version: number
}

/**
 * Keeps something that was changed from the version that is there, in the transaction of whoever calls; undefined where it has been
 * changed since, and stays as it is. What is sent again because its answer was lost on the way is kept already.
 */
export function keepVersion<T extends Versioned>(there: T | undefined, sent: T, put: (kept: T) => void): T | undefined {
  const kept = { ...sent, version: sent.version + 1 }
  if (there && isDeepStrictEqual(there, kept)) return there
  if ((there?.version ?? 0) !== sent.version) return undefined
  put(kept)
  return kept
}
