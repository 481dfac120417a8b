import { reopen, slipsOf, type WorkRecord } from '../../core/index'
import type { RecordSummary, SavedRecord } from '../../shared/schemas'
import type { Db } from './open'

type Row = Omit<RecordSummary, 'right' | 'slips'> & { right: number; slips: string; body: string }

const SUMMARY = `id, learner_id AS learnerId, started_at AS startedAt, duration_ms AS durationMs, problem, mode,
  is_right AS "right", help, note, slips`

const summaryOf = ({ body: _, ...row }: Row): RecordSummary => ({
  ...row,
  right: row.right === 1,
  slips: JSON.parse(row.slips),
})

function saved(row: Row): SavedRecord {
  const { id, learnerId, startedAt, right, help, note, body } = row
  return { id, learnerId, startedAt, work: JSON.parse(body), outcome: { right: right === 1, help, note } }
}

/** Records of work done. Statements are prepared once per database. */
export function recordTable(db: Db) {
  const put = db.prepare(
    `INSERT INTO record (id, learner_id, started_at, duration_ms, problem, mode, is_right, help, note, slips, body)
     VALUES (@id, @learnerId, @startedAt, @durationMs, @problem, @mode, @right, @help, @note, @slips, @body)
     ON CONFLICT (id) DO UPDATE SET learner_id = @learnerId, started_at = @startedAt, duration_ms = @durationMs,
       problem = @problem, mode = @mode, is_right = @right, help = @help, note = @note, slips = @slips, body = @body`,
  )
  const one = db.prepare<[string], Row>(`SELECT ${SUMMARY}, body FROM record WHERE id = ?`)
  const all = db.prepare<[], Row>(`SELECT ${SUMMARY}, '' AS body FROM record ORDER BY started_at DESC, id`)
  const bodies = db.prepare<[string | null, string | null], Row>(
    `SELECT ${SUMMARY}, body FROM record WHERE ? IS NULL OR learner_id = ? ORDER BY started_at, id`,
  )
  const remove = db.prepare<[string]>('DELETE FROM record WHERE id = ?')
  const write = (r: SavedRecord): void =>
    void put.run({
      id: r.id,
      learnerId: r.learnerId,
      startedAt: r.startedAt,
      durationMs: r.work.moves.at(-1)?.at ?? 0,
      problem: r.work.problem,
      mode: r.work.mode,
      right: r.outcome.right ? 1 : 0,
      help: r.outcome.help,
      note: r.outcome.note,
      slips: JSON.stringify(slipsOf(reopen(r.work as WorkRecord))),
      body: JSON.stringify(r.work),
    })
  return {
    /** Saves one record; the same id again replaces it, so a retry is harmless. On disk when it returns. */
    save: write,
    /** Saves all of them or none. */
    saveAll: db.transaction((records: readonly SavedRecord[]) => records.forEach(write)),
    summaries: (): RecordSummary[] => all.all().map(summaryOf),
    record: (id: string): SavedRecord | undefined => {
      const row = one.get(id)
      return row && saved(row)
    },
    records: (learnerId: string | null): SavedRecord[] => bodies.all(learnerId, learnerId).map(saved),
    remove: (id: string): boolean => remove.run(id).changes > 0,
  }
}
