import type { Moment } from '../../shared/learners'
import type { Db } from './open'

/** Moments of work that were chosen to be shown. Statements are prepared once per database. */
export function momentTable(db: Db) {
  const put = db.prepare(
    `INSERT INTO moment (record_id, learner_id, started_at, word)
       SELECT id, learner_id, started_at, @word FROM record WHERE id = @record
     ON CONFLICT (record_id) DO UPDATE SET word = @word`,
  )
  const remove = db.prepare<[string]>('DELETE FROM moment WHERE record_id = ?')
  const of = db.prepare<[string, string, string], Moment>(
    `SELECT record_id AS record, word FROM moment WHERE learner_id = ? AND school_day(started_at) BETWEEN ? AND ?
     ORDER BY started_at DESC, record_id DESC LIMIT 100`,
  )
  return {
    /** Chooses a record, or changes the word to it; false where there is no such record. */
    chooseMoment: (record: string, word: string): boolean => put.run({ record, word }).changes > 0,
    dropMoment: (record: string): boolean => remove.run(record).changes > 0,
    /** Moments of a learner between two days, the latest first; at most a hundred. */
    moments: (learner: string, from = '', to = '9999'): readonly Moment[] => of.all(learner, from, to),
  }
}
