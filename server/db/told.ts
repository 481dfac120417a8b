import type { Said } from '../../core/course/index'
import type { TellSteps, ToldStep } from '../../shared/courses'
import type { Db } from './open'

type Row = Omit<ToldStep, 'knows' | 'placed'> & { readonly knows: number; readonly placed: number }

/** What was said of the steps that learners know. Statements are prepared once per database. */
export function toldTable(db: Db) {
  const all = db.prepare<[string], Row>(
    `SELECT step, knows, placed, told_at AS at, told_by AS "by" FROM told_step WHERE learner_id = ? ORDER BY told_at, step`,
  )
  const put = db.prepare<[object]>(
    `INSERT INTO told_step (learner_id, step, knows, placed, told_at, told_by) VALUES (@learner, @step, @knows, @placed, @at, @by)
     ON CONFLICT (learner_id, step) DO UPDATE SET knows = @knows, placed = @placed, told_at = @at, told_by = @by`,
  )
  const drop = db.prepare<[string, string]>('DELETE FROM told_step WHERE learner_id = ? AND step = ?')
  const toldOf = (learner: string): ToldStep[] =>
    all.all(learner).map(({ knows, placed, ...row }) => ({ ...row, knows: knows === 1, placed: placed === 1 }))
  return {
    /** What was said of a learner's steps, the earliest first. */
    toldOf,
    /** Keeps what is said now; null takes back what was said of a step. Returns what was said of these steps before, in the same form. */
    tellSteps: db.transaction((learner: string, told: TellSteps, now: Omit<Said, 'knows'>): TellSteps => {
      const before = new Map(toldOf(learner).map((t) => [t.step, t.knows]))
      for (const { step, knows } of told)
        if (knows === null) drop.run(learner, step)
        else put.run({ ...now, learner, step, knows: knows ? 1 : 0, placed: now.placed ? 1 : 0 })
      return told.map(({ step }) => ({ step, knows: before.get(step) ?? null }))
    }),
  }
}
