import { afterAll, boundsOf, countedBefore } from './days'
import type { RecordSummary } from '../../shared/listing'
import type { SavedRecord } from '../../shared/schemas'
import { summaryColumns } from './listing'
import type { Db } from './open'
import { type Damaged, Flipped, refuseDamaged, sumOf, ifWhole } from './sums'

type Row = Omit<RecordSummary, 'right' | 'slips'> & { right: number; slips: string; body: string; sum: number }

const SUMMARY = summaryColumns('record')

/** A record as it is kept. @throws Flipped where it is not what was written. */
function saved(row: Row): SavedRecord {
  const { id, learnerId, startedAt, right, help, note, body, sum } = row
  if (sumOf([id, learnerId, startedAt, right, help, note, body]) !== sum) throw new Flipped(id)
  return { id, learnerId, startedAt, work: JSON.parse(body), outcome: { right: right === 1, help, note } }
}

/** A record as far as it says where its learner stands. */
export interface DoneRow extends Pick<RecordSummary, 'problem' | 'material' | 'startedAt' | 'day' | 'help'> {
  readonly ms: number
  readonly right: number
}

/** Whose a record is, and what it is about: without reading how it was worked, which may be damaged. */
export type RecordHead = Pick<RecordSummary, 'id' | 'learnerId' | 'problem' | 'startedAt' | 'day'>

/** A record as it is put into the database: how it was worked is text already, and what is listed of it stands beside. */
export interface RecordRow extends Pick<SavedRecord, 'id' | 'learnerId' | 'startedAt' | 'outcome'> {
  readonly durationMs: number
  readonly problem: string
  readonly material: string
  readonly way: string
  readonly mode: string
  readonly body: string
}

export const rowOf = ({ id, learnerId, startedAt, outcome, work }: SavedRecord): RecordRow => ({
  id,
  learnerId,
  startedAt,
  outcome,
  durationMs: work.moves.at(-1)?.at ?? 0,
  problem: work.problem,
  material: work.representation,
  way: work.way,
  mode: work.mode,
  body: JSON.stringify(work),
})

/** Records of work done. Statements are prepared once per database. */
export function recordTable(db: Db) {
  const put = db.prepare(
    `INSERT INTO record (id, learner_id, started_at, duration_ms, problem, material, way, mode, is_right, help, note, slips, body,
       on_day, looked, body_sum)
     VALUES (@id, @learnerId, @startedAt, @durationMs, @problem, @material, @way, @mode, @right, @help, @note, @slips, @body,
       school_day(@startedAt), @looked, @sum)
     ON CONFLICT (id) DO UPDATE SET learner_id = @learnerId, started_at = @startedAt, duration_ms = @durationMs,
       problem = @problem, material = @material, way = @way, mode = @mode, is_right = @right, help = @help, note = @note, slips = @slips,
       body = @body, on_day = school_day(@startedAt), looked = @looked, body_sum = @sum`,
  )
  const dropSlips = db.prepare<[string]>('DELETE FROM record_slip WHERE record_id = ?')
  const putSlip = db.prepare<[string, string]>(
    `INSERT OR IGNORE INTO record_slip (slip, started_at, record_id, learner_id, on_day)
     SELECT ?, started_at, id, learner_id, on_day FROM record WHERE id = ?`,
  )
  const waiting = db.prepare<[number], string>('SELECT id FROM record WHERE looked = 0 ORDER BY id LIMIT ?').pluck()
  const look = db.prepare<[number, string, string]>(
    'UPDATE record SET looked = ?, slips = ? WHERE id = ? AND looked = 0',
  )
  const one = db.prepare<[string], Row>(`SELECT ${SUMMARY}, body, body_sum AS sum FROM record WHERE id = ?`)
  const head = db.prepare<[string], RecordHead>(
    'SELECT id, learner_id AS learnerId, problem, started_at AS startedAt, on_day AS day FROM record WHERE id = ?',
  )
  const ofAll = db.prepare<[string, string, number], Row>(
    `SELECT ${SUMMARY}, body, body_sum AS sum FROM record WHERE (started_at, id) > (?, ?) ORDER BY started_at, id LIMIT ?`,
  )
  const ofLearner = db.prepare<[string, string, string, number], Row>(
    `SELECT ${SUMMARY}, body, body_sum AS sum FROM record WHERE learner_id = ? AND (started_at, id) > (?, ?)
     ORDER BY started_at, id LIMIT ?`,
  )
  const done = db.prepare<[string, number], DoneRow>(
    `SELECT problem, material, started_at AS startedAt, on_day AS day, duration_ms AS ms, is_right AS "right", help
     FROM record WHERE learner_id = ? ORDER BY on_day DESC, started_at DESC LIMIT ?`,
  )
  const remove = db.prepare<[string]>('DELETE FROM record WHERE id = ?')
  const older = db.prepare<[object], number>(countedBefore('record')).pluck()
  const removeOlder = db.prepare<[string, string]>('DELETE FROM record WHERE started_at < ? AND on_day < ?')

  /** Records oldest first, a few at a time, so that however many there are they never lie in memory together. */
  function* each(learnerId: string | null, damaged: Damaged = refuseDamaged): Generator<SavedRecord> {
    let [time, id] = ['', '']
    for (;;) {
      const rows = learnerId === null ? ofAll.all(time, id, 200) : ofLearner.all(learnerId, time, id, 200)
      for (const row of rows) {
        const whole = ifWhole(() => saved(row), damaged)
        if (whole) yield whole
      }
      const last = rows.at(-1)
      if (rows.length < 200 || !last) return
      ;[time, id] = [last.startedAt, last.id]
    }
  }

  const saveRow = db.transaction(({ outcome, ...row }: RecordRow, seen: readonly string[] | null): void => {
    const right = outcome.right ? 1 : 0
    const { help, note } = outcome
    put.run({
      ...row,
      right,
      help,
      note,
      slips: JSON.stringify(seen ?? []),
      looked: seen === null ? 0 : 1,
      sum: sumOf([row.id, row.learnerId, row.startedAt, right, help, note, row.body]),
    })
    dropSlips.run(row.id)
    for (const slip of seen ?? []) putSlip.run(slip, row.id)
  })

  return {
    /**
     * Saves one record with the slips that were seen in it; null where it is kept as it came and will be looked through later. The same
     * id again replaces it. On disk when it returns.
     */
    saveRow,
    save: (r: SavedRecord, seen: readonly string[] | null): void => saveRow(rowOf(r), seen),
    /** Records that were kept as they came, a few at a time. */
    toLookThrough: (most: number): readonly string[] => waiting.all(most),
    /** Says what was seen in a record that was kept as it came; null where it cannot be worked as it says. It stays in either case. */
    lookedThrough: db.transaction((id: string, seen: readonly string[] | null): void => {
      if (look.run(seen === null ? 2 : 1, JSON.stringify(seen ?? []), id).changes === 0) return
      for (const slip of seen ?? []) putSlip.run(slip, id)
    }),
    record: (id: string): SavedRecord | undefined => {
      const row = one.get(id)
      return row && saved(row)
    },
    recordHead: (id: string): RecordHead | undefined => head.get(id),
    /** What a learner worked last, the latest first, without how it was worked. */
    doneBy: (learnerId: string, limit: number): readonly DoneRow[] => done.all(learnerId, limit),
    /** All records of one learner, or of all, the oldest first; `damaged` hears of those that cannot be read any more. */
    records: each,
    slipsOf: (id: string): readonly string[] => JSON.parse(one.get(id)?.slips ?? '[]') as string[],
    remove: (id: string): boolean => remove.run(id).changes > 0,
    /** How many records are from before a day, and taking them away. */
    countBefore: (day: string): number => older.get(boundsOf(day))!,
    removeBefore: (day: string): number => removeOlder.run(afterAll(day), day).changes,
  }
}
