import type { Db } from './open'

/** How often somebody was wrong under a key, and when: in milliseconds. */
export interface Tried {
  readonly wrong: number
  readonly triedAt: number
  /** When it was last right; null where it never was. */
  readonly rightAt: number | null
}

/** Tries at signing in, under keys that say nothing of who it was. Statements are prepared once per database. */
export function triesTable(db: Db) {
  const one = db.prepare<[string], Tried>(
    'SELECT wrong, tried_at AS triedAt, right_at AS rightAt FROM sign_in WHERE key = ?',
  )
  const put = db.prepare(
    `INSERT INTO sign_in (key, wrong, tried_at, right_at) VALUES (@key, @wrong, @triedAt, @rightAt)
     ON CONFLICT (key) DO UPDATE SET wrong = @wrong, tried_at = @triedAt, right_at = @rightAt`,
  )
  const forget = db.prepare<[number, number]>(
    'DELETE FROM sign_in WHERE tried_at < ? AND (right_at IS NULL OR right_at < ?)',
  )
  return {
    triesOf: (key: string): Tried | undefined => one.get(key),
    keepTries: (key: string, tried: Tried): void => void put.run({ key, ...tried }),
    /** Forgets who has not tried since a time, and has not come in since another. */
    forgetTries: (triedBefore: number, rightBefore: number): void => void forget.run(triedBefore, rightBefore),
  }
}
