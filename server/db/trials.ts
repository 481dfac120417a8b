import type { Trial } from '../../shared/trials'
import { afterAll, boundsOf, countedBefore } from './days'
import type { Db } from './open'
import { type Damaged, Flipped, refuseDamaged, sumOf, ifWhole } from './sums'

/** What is found of a trial when it is kept, and what the list shows of it. */
export interface Seen {
  readonly durationMs: number
  readonly problem: string
  readonly step: string
  readonly material: string
  readonly mode: string
  readonly slips: readonly string[]
}

interface Row {
  readonly id: string
  readonly learnerId: string
  readonly startedAt: string
  readonly kind: Trial['kind']
  readonly right: number
  readonly help: Trial['help']
  readonly note: string
  readonly body: string
  readonly sum: number
}
/** A trial as it is kept. @throws Flipped where it is not what was written. */
function read({ body, right, sum, ...row }: Row): Trial {
  const { id, learnerId, startedAt, help, note } = row
  if (sumOf([id, learnerId, startedAt, right, help, note, body]) !== sum) throw new Flipped(id)
  return { ...row, right: right === 1, work: JSON.parse(body) } as Trial
}

/** Stories that were worked, and what was noted at the table. Statements are prepared once per database. */
export function trialTable(db: Db) {
  const columns = `id, learner_id AS learnerId, started_at AS startedAt, kind, is_right AS "right", help, note, body, body_sum AS sum`
  const put = db.prepare(
    `INSERT INTO trial (id, learner_id, started_at, duration_ms, kind, problem, step, material, mode, is_right, help, note, slips, body,
       on_day, body_sum)
     VALUES (@id, @learnerId, @startedAt, @durationMs, @kind, @problem, @step, @material, @mode, @right, @help, @note, @slips, @body,
       school_day(@startedAt), @sum)
     ON CONFLICT (id) DO UPDATE SET duration_ms = @durationMs, problem = @problem, step = @step, material = @material,
       mode = @mode, is_right = @right, help = @help, note = @note, slips = @slips, body = @body, body_sum = @sum`,
  )
  const dropSlips = db.prepare<[string]>('DELETE FROM trial_slip WHERE trial_id = ?')
  const putSlip = db.prepare<[string, string]>(
    `INSERT OR IGNORE INTO trial_slip (slip, started_at, trial_id, learner_id, on_day)
     SELECT ?, started_at, id, learner_id, on_day FROM trial WHERE id = ?`,
  )
  const one = db.prepare<[string], Row>(`SELECT ${columns} FROM trial WHERE id = ?`)
  const after = db.prepare<[string, string, number], Row>(
    `SELECT ${columns} FROM trial WHERE (started_at, id) > (?, ?) ORDER BY started_at, id LIMIT ?`,
  )
  const ofLearner = db.prepare<[string, string, string, number], Row>(
    `SELECT ${columns} FROM trial WHERE learner_id = ? AND (started_at, id) > (?, ?) ORDER BY started_at, id LIMIT ?`,
  )
  const remove = db.prepare<[string]>('DELETE FROM trial WHERE id = ?')
  const step = db.prepare<[string], string>('SELECT step FROM trial WHERE id = ?').pluck()
  const counted = db.prepare<[object], number>(countedBefore('trial')).pluck()
  const older = db.prepare<[string, string]>('DELETE FROM trial WHERE started_at < ? AND on_day < ?')

  /** The oldest first, a few at a time, so that however many there are they never lie in memory together. */
  function* each(learnerId: string | null, damaged: Damaged = refuseDamaged): Generator<Trial> {
    let [time, id] = ['', '']
    for (;;) {
      const rows = learnerId === null ? after.all(time, id, 200) : ofLearner.all(learnerId, time, id, 200)
      for (const row of rows) {
        const whole = ifWhole(() => read(row), damaged)
        if (whole) yield whole
      }
      const last = rows.at(-1)
      if (rows.length < 200 || !last) return
      ;[time, id] = [last.startedAt, last.id]
    }
  }
  return {
    /** Keeps a trial with what was found of it; the same id again replaces it. On disk when it returns. */
    keepTrial: db.transaction(
      ({ id, learnerId, startedAt, kind, right, help, note, work }: Trial, seen: Seen): void => {
        const body = JSON.stringify(work)
        put.run({
          id,
          learnerId,
          startedAt,
          kind,
          help,
          note,
          ...seen,
          right: right ? 1 : 0,
          slips: JSON.stringify(seen.slips),
          body,
          sum: sumOf([id, learnerId, startedAt, right ? 1 : 0, help, note, body]),
        })
        dropSlips.run(id)
        for (const slip of seen.slips) putSlip.run(slip, id)
      },
    ),
    trial: (id: string): Trial | undefined => {
      const row = one.get(id)
      return row && read(row)
    },
    /** The step that was named when it was noted; nothing where none was. */
    stepNoted: (id: string): string => step.get(id) ?? '',
    /** All trials of one learner, or of all, the oldest first; `damaged` hears of those that cannot be read any more. */
    trials: each,
    removeTrial: (id: string): boolean => remove.run(id).changes > 0,
    countTrialsBefore: (day: string): number => counted.get(boundsOf(day))!,
    removeTrialsBefore: (day: string): number => older.run(afterAll(day), day).changes,
  }
}
