import type { KeptMarking } from '../../shared/marking'
import type { Db } from './open'

interface Row extends Omit<KeptMarking, 'items' | 'said'> {
  readonly items: string
  readonly said: string
}

const read = (row: Row): KeptMarking => ({ ...row, items: JSON.parse(row.items), said: JSON.parse(row.said) })

/** Marked pages, by learner. Statements are prepared once per database. */
export function markingTable(db: Db) {
  const columns = `id, learner_id AS learnerId, marked_at AS markedAt, worked_with AS "with", items, said, withdrawn`
  const put = db.prepare(
    `INSERT INTO marking (id, learner_id, marked_at, worked_with, items, said, withdrawn)
     VALUES (@id, @learnerId, @markedAt, @with, @items, @said, NULL) ON CONFLICT (id) DO NOTHING`,
  )
  const one = db.prepare<[string], Row>(`SELECT ${columns} FROM marking WHERE id = ?`)
  const latest = db.prepare<[string, number], Row>(
    `SELECT ${columns} FROM marking WHERE learner_id = ? ORDER BY marked_at DESC, id DESC LIMIT ?`,
  )
  const withdraw = db.prepare<[string | null, string]>('UPDATE marking SET withdrawn = ? WHERE id = ?')
  const older = db.prepare<[string]>('DELETE FROM marking WHERE school_day(marked_at) < ?')
  return {
    /** Keeps a marked page; false where it was kept before. */
    keepMarking: ({ items, said, ...m }: Omit<KeptMarking, 'withdrawn'>): boolean =>
      put.run({ ...m, items: JSON.stringify(items), said: JSON.stringify(said) }).changes > 0,
    marking: (id: string): KeptMarking | undefined => {
      const row = one.get(id)
      return row && read(row)
    },
    /** The latest marked pages of a learner, the newest first. */
    markings: (learnerId: string, limit = 10_000): KeptMarking[] => latest.all(learnerId, limit).map(read),
    /** Withdraws what a page said, with the reason; null lets it stand again. */
    withdrawMarking: (id: string, why: string | null): boolean => withdraw.run(why, id).changes > 0,
    removeMarkingsBefore: (day: string): number => older.run(day).changes,
  }
}
