import type { KeptAnswer } from '../../shared/schemas'
import type { Db } from './open'

type Row = Omit<KeptAnswer, 'right'> & { right: number }

/** Answers of rehearsing, by person; no learner means the teacher. Statements are prepared once per database. */
export function rehearsalTable(db: Db) {
  const put = db.prepare(
    `INSERT INTO rehearsal (id, learner_id, answered_at, item, given, is_right, duration_ms)
     VALUES (@id, @learnerId, @at, @item, @given, @right, @ms) ON CONFLICT (id) DO NOTHING`,
  )
  const all = db.prepare<[string | null], Row>(
    `SELECT id, learner_id AS learnerId, answered_at AS at, item, given, is_right AS "right", duration_ms AS ms
     FROM rehearsal WHERE learner_id IS ? ORDER BY answered_at, id`,
  )
  const forget = db.prepare<[string | null]>('DELETE FROM rehearsal WHERE learner_id IS ?')
  return {
    /** Keeps an answer; false where it was kept before. */
    keepAnswer: (a: KeptAnswer): boolean => put.run({ ...a, right: a.right ? 1 : 0 }).changes > 0,
    answers: (learnerId: string | null): KeptAnswer[] =>
      all.all(learnerId).map((row) => ({ ...row, right: row.right === 1 })),
    forgetAnswers: (learnerId: string | null): void => void forget.run(learnerId),
  }
}
