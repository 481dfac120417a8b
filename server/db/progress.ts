import type { Decision, KeptGoal, TriedAt } from '../../shared/progress'
import type { Db } from './open'
import { keepVersion } from './versioned'

/** Alike trials of one day. */
export interface TriedRow {
  readonly day: string
  readonly problem: string
  readonly step: string
  readonly material: string
  readonly help: string
  readonly right: number
  readonly count: number
  readonly ms: number
  /** Where it was tried. */
  readonly at: TriedAt
}
/** So many records, and so many groups of alike attempts, are looked at, the latest. */
const MOST_GROUPS = 8000

/** What learners tried, day by day; their goals; what was decided. Statements are prepared once per database. */
export function progressTable(db: Db) {
  // At the Bench hardly two problems of a day are alike: they are told one by one, straight from the index.
  const worked = db.prepare<[object], TriedRow>(
    `SELECT on_day AS day, problem, '' AS step, material, help, is_right AS "right", 1 AS count, duration_ms AS ms, 'bench' AS at
     FROM record WHERE learner_id = @learner AND on_day >= @from ORDER BY on_day DESC LIMIT @most`,
  )
  const KIND = `CASE kind WHEN 'story' THEN 'stories' ELSE 'table' END`
  const tried = db.prepare<[object], TriedRow>(
    // Where a step was named, what was asked does not matter, and alike attempts of a day are one row.
    `SELECT on_day AS day, CASE WHEN step <> '' THEN '' ELSE problem END AS problem, step, material, help, is_right AS "right",
       count(*) AS count, sum(duration_ms) AS ms, ${KIND} AS at
     FROM trial WHERE learner_id = @learner AND on_day >= @from AND kind <> 'note'
     GROUP BY 1, 2, 3, material, help, is_right, at ORDER BY day DESC LIMIT @most`,
  )
  const last = db.prepare<[object], { day: string; problem: string; step: string }>(
    `SELECT * FROM (
       SELECT * FROM (SELECT started_at AS at, on_day AS day, problem, '' AS step FROM record WHERE learner_id = @learner
         ORDER BY started_at DESC LIMIT 1)
       UNION ALL SELECT * FROM (SELECT started_at AS at, on_day AS day, problem, step FROM trial WHERE learner_id = @learner AND kind <> 'note'
         ORDER BY started_at DESC LIMIT 1)) ORDER BY at DESC LIMIT 1`,
  )
  const rehearsed = db.prepare<[object], Pick<TriedRow, 'day' | 'right' | 'count' | 'ms'>>(
    `SELECT on_day AS day, is_right AS "right", count(*) AS count, sum(duration_ms) AS ms
     FROM rehearsal WHERE learner_id = @learner AND on_day >= @from GROUP BY day, is_right ORDER BY day DESC LIMIT 1000`,
  )
  const slips = db.prepare<[object], { slip: string; day: string; count: number }>(
    `SELECT slip, on_day AS day, count(*) AS count FROM record_slip WHERE learner_id = @learner AND on_day >= @from GROUP BY slip, day
     UNION ALL
     SELECT slip, on_day AS day, count(*) AS count FROM trial_slip WHERE learner_id = @learner AND on_day >= @from GROUP BY slip, day
     ORDER BY day DESC LIMIT @most`,
  )
  interface GoalRow {
    readonly body: string
  }
  const goalsOf = db.prepare<[string], GoalRow>('SELECT body FROM goal WHERE learner_id = ? ORDER BY id')
  const goal = db.prepare<[string], GoalRow>('SELECT body FROM goal WHERE id = ?')
  const putGoal = db.prepare(
    `INSERT INTO goal (id, learner_id, body, version) VALUES (@id, @learnerId, @body, @version)
     ON CONFLICT (id) DO UPDATE SET body = @body, version = @version`,
  )
  const removeGoal = db.prepare<[string]>('DELETE FROM goal WHERE id = ?')
  const decided = db.prepare<[string], GoalRow>(
    'SELECT body FROM decision WHERE learner_id = ? ORDER BY made_at DESC, id DESC LIMIT 200',
  )
  const oneDecision = db.prepare<[string], GoalRow>('SELECT body FROM decision WHERE id = ?')
  const putDecision = db.prepare(
    `INSERT INTO decision (id, learner_id, made_at, body) VALUES (@id, @learnerId, @madeAt, @body)
     ON CONFLICT (id) DO NOTHING`,
  )
  const read = <T>(row: GoalRow | undefined): T | undefined => row && (JSON.parse(row.body) as T)
  return {
    /** What was worked at the Bench, and what was tried elsewhere, each from the latest day on. */
    triedBy: (learner: string, from: string): readonly TriedRow[] => {
      const asked = { learner, from, most: MOST_GROUPS }
      return [...worked.all(asked), ...tried.all(asked)]
    },
    lastTriedBy: (learner: string) => last.get({ learner }),
    /** Answers of rehearsing, day by day, the latest first. */
    rehearsedBy: (learner: string, from: string) => rehearsed.all({ learner, from }),
    slipsBy: (learner: string, from: string): readonly { slip: string; day: string; count: number }[] =>
      slips.all({ learner, from, most: MOST_GROUPS }),
    goals: (learner: string): readonly KeptGoal[] => goalsOf.all(learner).map((r) => read<KeptGoal>(r)!),
    goal: (id: string): KeptGoal | undefined => read<KeptGoal>(goal.get(id)),
    /** Keeps a goal changed from a version (0: new); undefined where it has been changed since, and stays as it is. */
    keepGoal: db.transaction((sent: KeptGoal): KeptGoal | undefined => {
      const there = read<KeptGoal>(goal.get(sent.id))
      return keepVersion(there, sent, (kept) =>
        putGoal.run({ id: kept.id, learnerId: kept.learnerId, body: JSON.stringify(kept), version: kept.version }),
      )
    }),
    removeGoal: (id: string): boolean => removeGoal.run(id).changes > 0,
    decisions: (learner: string): readonly Decision[] => decided.all(learner).map((r) => read<Decision>(r)!),
    decision: (id: string): Decision | undefined => read<Decision>(oneDecision.get(id)),
    /** Keeps a decision; the same one twice is one. */
    keepDecision: (d: Decision): void =>
      void putDecision.run({ id: d.id, learnerId: d.learnerId, madeAt: d.madeAt, body: JSON.stringify(d) }),
  }
}
