import type { RecordSummary } from '../../shared/listing'
import type { SavedRecord } from '../../shared/schemas'
import { summaryColumns } from './listing'
import type { Db } from './open'

type Row = Omit<RecordSummary, 'right' | 'slips'> & { right: number; slips: string; body: string }

const SUMMARY = summaryColumns('record')

function saved(row: Row): SavedRecord {
  const { id, learnerId, startedAt, right, help, note, body } = row
  return { id, learnerId, startedAt, work: JSON.parse(body), outcome: { right: right === 1, help, note } }
}

/** A record as far as it says where its learner stands. */
export interface DoneRow extends Pick<RecordSummary, 'problem' | 'material' | 'startedAt' | 'help'> {
  readonly ms: number
  readonly right: number
}

/** Records of work done. Statements are prepared once per database. */
export function recordTable(db: Db) {
  const put = db.prepare(
    `INSERT INTO record (id, learner_id, started_at, duration_ms, problem, material, way, mode, is_right, help, note, slips, body)
     VALUES (@id, @learnerId, @startedAt, @durationMs, @problem, @material, @way, @mode, @right, @help, @note, @slips, @body)
     ON CONFLICT (id) DO UPDATE SET learner_id = @learnerId, started_at = @startedAt, duration_ms = @durationMs,
       problem = @problem, material = @material, way = @way, mode = @mode, is_right = @right, help = @help, note = @note, slips = @slips,
       body = @body`,
  )
  const dropSlips = db.prepare<[string]>('DELETE FROM record_slip WHERE record_id = ?')
  const putSlip = db.prepare<[string, string, string]>(
    'INSERT OR IGNORE INTO record_slip (slip, started_at, record_id) VALUES (?, ?, ?)',
  )
  const one = db.prepare<[string], Row>(`SELECT ${SUMMARY}, body FROM record WHERE id = ?`)
  const ofAll = db.prepare<[string, string, number], Row>(
    `SELECT ${SUMMARY}, body FROM record WHERE (started_at, id) > (?, ?) ORDER BY started_at, id LIMIT ?`,
  )
  const ofLearner = db.prepare<[string, string, string, number], Row>(
    `SELECT ${SUMMARY}, body FROM record WHERE learner_id = ? AND (started_at, id) > (?, ?)
     ORDER BY started_at, id LIMIT ?`,
  )
  const done = db.prepare<[string, number], DoneRow>(
    `SELECT problem, material, started_at AS startedAt, duration_ms AS ms, is_right AS "right", help
     FROM record WHERE learner_id = ? ORDER BY started_at DESC, id DESC LIMIT ?`,
  )
  const remove = db.prepare<[string]>('DELETE FROM record WHERE id = ?')
  const older = db.prepare<[string], number>('SELECT count(*) FROM record WHERE started_at < ?').pluck()
  const removeOlder = db.prepare<[string]>('DELETE FROM record WHERE started_at < ?')

  /** Records oldest first, a few at a time, so that however many there are they never lie in memory together. */
  function* each(learnerId: string | null): Generator<SavedRecord> {
    let [time, id] = ['', '']
    for (;;) {
      const rows = learnerId === null ? ofAll.all(time, id, 200) : ofLearner.all(learnerId, time, id, 200)
      for (const row of rows) yield saved(row)
      const last = rows.at(-1)
      if (rows.length < 200 || !last) return
      ;[time, id] = [last.startedAt, last.id]
    }
  }

  return {
    /** Saves one record with the slips that were seen in it; the same id again replaces it. On disk when it returns. */
    save: db.transaction((r: SavedRecord, seen: readonly string[]): void => {
      put.run({
        id: r.id,
        learnerId: r.learnerId,
        startedAt: r.startedAt,
        durationMs: r.work.moves.at(-1)?.at ?? 0,
        problem: r.work.problem,
        material: r.work.representation,
        way: r.work.way,
        mode: r.work.mode,
        right: r.outcome.right ? 1 : 0,
        help: r.outcome.help,
        note: r.outcome.note,
        slips: JSON.stringify(seen),
        body: JSON.stringify(r.work),
      })
      dropSlips.run(r.id)
      for (const slip of seen) putSlip.run(slip, r.startedAt, r.id)
    }),
    record: (id: string): SavedRecord | undefined => {
      const row = one.get(id)
      return row && saved(row)
    },
    /** What a learner worked last, the latest first, without how it was worked. */
    doneBy: (learnerId: string, limit: number): readonly DoneRow[] => done.all(learnerId, limit),
    /** All records of one learner, or of all, the oldest first. */
    records: each,
    slipsOf: (id: string): readonly string[] => JSON.parse(one.get(id)?.slips ?? '[]') as string[],
    remove: (id: string): boolean => remove.run(id).changes > 0,
    /** How many records began before a time, and taking them away. */
    countBefore: (time: string): number => older.get(time)!,
    removeBefore: (time: string): number => removeOlder.run(time).changes,
  }
}
