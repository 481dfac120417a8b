import type { Db } from './open'

/** What is kept of one learner, by kind and number. */
export interface KeptOf {
  readonly records: number
  /** Stories that were worked, and trials noted at the table. */
  readonly trials: number
  readonly answers: number
  readonly notes: number
  readonly markings: number
  readonly lessons: number
  /** Words and sentences said for them, as sound. */
  readonly recordings: number
}

/** Removes a learner and all that hangs on them from one database, of whatever version, and nothing else. */
export function eraseIn(db: Db, id: string): void {
  // Older copies may have no cascade switched on; what hangs on the learner goes by name.
  const tables = db.prepare<[], string>("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all()
  db.transaction(() => {
    if (tables.includes('record_slip'))
      db.prepare('DELETE FROM record_slip WHERE record_id IN (SELECT id FROM record WHERE learner_id = ?)').run(id)
    if (tables.includes('trial_slip'))
      db.prepare('DELETE FROM trial_slip WHERE trial_id IN (SELECT id FROM trial WHERE learner_id = ?)').run(id)
    for (const table of [
      'record',
      'trial',
      'moment',
      'goal',
      'decision',
      'rehearsal',
      'marking',
      'recording',
      'person_learner',
      'lesson_learner',
    ])
      if (tables.includes(table)) db.prepare(`DELETE FROM ${table} WHERE learner_id = ?`).run(id)
    // A lesson to which nobody comes any more goes too.
    if (tables.includes('lesson'))
      db.prepare('DELETE FROM lesson WHERE id NOT IN (SELECT lesson_id FROM lesson_learner)').run()
    db.prepare('DELETE FROM learner WHERE id = ?').run(id)
  })()
}

/** Writes a database anew without anything of what was deleted: freed pages, the write-ahead log and all. */
export function scrub(db: Db): void {
  db.pragma('wal_checkpoint(TRUNCATE)')
  db.exec('VACUUM')
  db.pragma('wal_checkpoint(TRUNCATE)')
}

/** Erasing for good, and what remembers that it was done. Statements are prepared once per database. */
export function erasingTable(db: Db) {
  const counts = db.prepare<[{ id: string }], KeptOf>(
    `SELECT (SELECT count(*) FROM record WHERE learner_id = @id) AS records,
       (SELECT count(*) FROM trial WHERE learner_id = @id) AS trials,
       (SELECT count(*) FROM rehearsal WHERE learner_id = @id) AS answers,
       (SELECT count(*) FROM record WHERE learner_id = @id AND note <> '')
         + (SELECT count(*) FROM trial WHERE learner_id = @id AND note <> '') AS notes,
       (SELECT count(*) FROM marking WHERE learner_id = @id) AS markings,
       (SELECT count(*) FROM lesson_learner WHERE learner_id = @id) AS lessons,
       (SELECT count(*) FROM recording WHERE learner_id = @id) AS recordings`,
  )
  const remember = db.prepare<[{ at: number; id: string }]>(
    `INSERT OR IGNORE INTO erased (id, kind, erased_at)
     SELECT id, kind, @at FROM (
       SELECT id, 'learner' AS kind FROM learner WHERE id = @id
       UNION ALL SELECT id, 'record' FROM record WHERE learner_id = @id
       UNION ALL SELECT id, 'record' FROM trial WHERE learner_id = @id
       UNION ALL SELECT id, 'answer' FROM rehearsal WHERE learner_id = @id)`,
  )
  const gone = db.prepare<[string], number>('SELECT erased_at FROM erased WHERE id = ?').pluck()
  const learners = db.prepare<[], string>("SELECT id FROM erased WHERE kind = 'learner'").pluck()
  const forgive = db.prepare<[string]>('DELETE FROM erased WHERE id = ?')
  return {
    keptOf: (id: string): KeptOf => counts.get({ id })!,
    /** Erases a learner from this database for good, and remembers by their identifiers what must not come back. */
    erase: (id: string, at: number): void => {
      db.transaction(() => {
        remember.run({ at, id })
        eraseIn(db, id)
      })()
      scrub(db)
    },
    /** When something of this identifier was erased; undefined where nothing was. */
    erasedAt: (id: string): number | undefined => gone.get(id),
    /** Who was erased, by identifier. */
    erasedLearners: (): readonly string[] => learners.all(),
    /** Lets what was erased come back, because a keeper says so. */
    allowBack: (id: string): void => void forgive.run(id),
  }
}
