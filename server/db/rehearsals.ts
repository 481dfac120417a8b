import { answerKey, ANSWERS_A_PAGE } from '../../shared/limits'
import type { KeptAnswer } from '../../shared/schemas'
import type { Db } from './open'

type Row = Omit<KeptAnswer, 'right'> & { right: number }

/** Answers of rehearsing, by person; no learner means the teacher. Statements are prepared once per database. */
export function rehearsalTable(db: Db) {
  const put = db.prepare(
    `INSERT INTO rehearsal (id, learner_id, answered_at, item, given, is_right, duration_ms, on_day)
     VALUES (@id, @learnerId, @at, @item, @given, @right, @ms, school_day(@at)) ON CONFLICT (id) DO NOTHING`,
  )
  const some = db.prepare<[string | null, number, string, number], Row>(
    `SELECT id, learner_id AS learnerId, answered_at AS at, item, given, is_right AS "right", duration_ms AS ms
     FROM rehearsal WHERE learner_id IS ? AND (answered_at, id) > (?, ?) ORDER BY answered_at, id LIMIT ?`,
  )
  const page = (learnerId: string | null, after = '0_'): KeptAnswer[] => {
    const [at, id] = after.split('_') as [string, string]
    return some.all(learnerId, Number(at), id, ANSWERS_A_PAGE).map((row) => ({ ...row, right: row.right === 1 }))
  }
  const one = db.prepare<[string], Row>(
    `SELECT id, learner_id AS learnerId, answered_at AS at, item, given, is_right AS "right", duration_ms AS ms
     FROM rehearsal WHERE id = ?`,
  )
  const forget = db.prepare<[string | null]>('DELETE FROM rehearsal WHERE learner_id IS ?')
  return {
    /** Keeps an answer; false where it was kept before. */
    keepAnswer: (a: KeptAnswer): boolean => put.run({ ...a, right: a.right ? 1 : 0 }).changes > 0,
    answer: (id: string): KeptAnswer | undefined => {
      const row = one.get(id)
      return row && { ...row, right: row.right === 1 }
    },
    /** The next page of somebody's answers after the one that is named (`at_id`), or the first: the oldest first. */
    answersAfter: page,
    /** All of somebody's answers, the oldest first. */
    answers: (learnerId: string | null): KeptAnswer[] => {
      const all: KeptAnswer[] = []
      for (let found = page(learnerId); ; found = page(learnerId, answerKey(all.at(-1)!))) {
        all.push(...found)
        if (found.length < ANSWERS_A_PAGE) return all
      }
    },
    forgetAnswers: (learnerId: string | null): void => void forget.run(learnerId),
  }
}
