import { identityOf } from './identity'
import { connect, type Db } from './open'
import { isFull } from './trouble'

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

/** A name as a word by itself, however it is written. */
const asWord = (name: string): RegExp =>
  new RegExp(`(?<![\\p{L}\\p{N}])${name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\p{L}\\p{N}])`, 'giu')

/** Takes a code name out of the log, and searches for its learner out of those that are kept. */
function forgetName(db: Db, id: string, tables: readonly string[]): void {
  const name = db.prepare<[string], string>('SELECT code_name FROM learner WHERE id = ?').pluck().get(id)
  if (name === undefined) return
  if (tables.includes('happening')) {
    const change = db.prepare<[string, number]>('UPDATE happening SET about = ? WHERE id = ?')
    const lines = db.prepare<[], { id: number; about: string }>(
      "SELECT id, about FROM happening WHERE about <> '' AND about NOT IN (SELECT name FROM person)",
    )
    for (const line of lines.all()) {
      const without = line.about.replace(asWord(name), 'a learner')
      if (without !== line.about) change.run(without, line.id)
    }
  }
  if (tables.includes('setting')) {
    const change = db.prepare<[string, string]>('UPDATE setting SET value = ? WHERE name = ?')
    const kept = db.prepare<[], { name: string; value: string }>(
      "SELECT name, value FROM setting WHERE name = 'searches' OR name LIKE 'searches/%'",
    )
    for (const { name: key, value } of kept.all()) {
      const all = JSON.parse(value) as { searches: { name: string; find: Record<string, string> }[] }
      const isOf = (search: (typeof all.searches)[number]): boolean =>
        search.find.learner === id || [search.name, ...Object.values(search.find)].some((t) => asWord(name).test(t))
      const others = all.searches.filter((search) => !isOf(search))
      if (others.length < all.searches.length) change.run(JSON.stringify({ ...all, searches: others }), key)
    }
  }
}

/** Removes a learner and all that hangs on them from one database, of whatever version, and nothing else. */
export function eraseIn(db: Db, id: string): void {
  // Older copies may have no cascade switched on; what hangs on the learner goes by name.
  const tables = db.prepare<[], string>("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all()
  db.transaction(() => {
    forgetName(db, id, tables)
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
      'told_step',
    ])
      if (tables.includes(table)) db.prepare(`DELETE FROM ${table} WHERE learner_id = ?`).run(id)
    // A lesson to which nobody comes any more goes too.
    if (tables.includes('lesson'))
      db.prepare('DELETE FROM lesson WHERE id NOT IN (SELECT lesson_id FROM lesson_learner)').run()
    db.prepare('DELETE FROM learner WHERE id = ?').run(id)
  })()
}

/**
 * Leaves nothing of what was deleted: the write-ahead log is emptied, and the file written anew where there is room for that. Where there
 * is none, what was deleted has been overwritten with zeros all the same (secure_delete), but for an identifier here and there that SQLite
 * had moved from one page to another before.
 */
export function scrub(db: Db): void {
  db.pragma('wal_checkpoint(TRUNCATE)')
  try {
    db.exec('VACUUM')
  } catch (error) {
    if (!isFull(error)) throw error
  }
  db.pragma('wal_checkpoint(TRUNCATE)')
}

/** Works on a database file of its own connection. */
function inFile<T>(path: string, how: { readonly readonly?: boolean }, work: (db: Db) => T): T {
  const db = connect(path, { fileMustExist: true, ...how })
  try {
    return work(db)
  } finally {
    db.close()
  }
}

/** Erases learners from another file: whether any of them was in it, or whether it cannot be read. What is not Sett's stays as it is. @throws Error of the disk */
export function eraseFromCopy(path: string, ids: readonly string[]): 'erased' | 'not-there' | 'unread' {
  try {
    // Only looked at first: a stranger's file, and one without them, is not written to.
    const there = inFile(path, { readonly: true }, (db) => {
      if (identityOf(db).is === 'foreign') return []
      const has = db.prepare<[string], number>('SELECT 1 FROM learner WHERE id = ?').pluck()
      return ids.filter((id) => has.get(id) === 1)
    })
    if (there.length === 0) return 'not-there'
    inFile(path, {}, (db) => {
      for (const id of there) eraseIn(db, id)
      scrub(db)
    })
    return 'erased'
  } catch (error) {
    if (isFull(error)) throw error
    return 'unread'
  }
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
       SELECT @id AS id, 'learner' AS kind
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
