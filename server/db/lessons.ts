import { keepingDone, withDone, withoutDone, type Lesson, type LessonTurn, type TurnDone } from '../../shared/lessons'
import type { Db } from './open'
import { keepVersion } from './versioned'

/** A turn with its place in the lesson. */
type Placed = readonly [place: number, turn: LessonTurn]

interface Row {
  readonly id: string
  readonly day: string
  readonly at: string
  readonly minutes: number
  readonly shown: string
  readonly words: string
  readonly version: number
}
interface Part {
  readonly learnerId: string
  readonly turns: string
  readonly note: string
}

/** Lessons, with what of each is one learner's. Statements are prepared once per database. */
export function lessonTable(db: Db) {
  const columns = 'id, on_day AS day, at_time AS "at", minutes, shown, words, version'
  const one = db.prepare<[string], Row>(`SELECT ${columns} FROM lesson WHERE id = ?`)
  const between = db.prepare<[string, string], Row>(
    `SELECT ${columns} FROM lesson WHERE on_day BETWEEN ? AND ? ORDER BY on_day, at_time, id LIMIT 1000`,
  )
  const ofLearner = db.prepare<[string], Row>(
    `SELECT ${columns} FROM lesson WHERE id IN (SELECT lesson_id FROM lesson_learner WHERE learner_id = ?)
     ORDER BY on_day, at_time, id`,
  )
  const parts = db.prepare<[string], Part>(
    'SELECT learner_id AS learnerId, turns, note FROM lesson_learner WHERE lesson_id = ? ORDER BY place',
  )
  const put = db.prepare(
    `INSERT INTO lesson (id, on_day, at_time, minutes, shown, words, version)
     VALUES (@id, @day, @at, @minutes, @shown, @words, @version)
     ON CONFLICT (id) DO UPDATE SET on_day = @day, at_time = @at, minutes = @minutes, shown = @shown, words = @words,
       version = @version`,
  )
  const dropParts = db.prepare<[string]>('DELETE FROM lesson_learner WHERE lesson_id = ?')
  const putPart = db.prepare<[string, string, number, string, string]>(
    'INSERT INTO lesson_learner (lesson_id, learner_id, place, turns, note) VALUES (?, ?, ?, ?, ?)',
  )
  const remove = db.prepare<[string]>('DELETE FROM lesson WHERE id = ?')
  const removeOlder = db.prepare<[string]>('DELETE FROM lesson WHERE on_day < ?')

  function read({ shown, ...row }: Row): Lesson {
    const own = parts.all(row.id)
    const placed = [shown, ...own.map((p) => p.turns)].flatMap((text) => JSON.parse(text) as Placed[])
    return {
      ...row,
      learners: own.map((p) => p.learnerId),
      turns: placed.sort(([a], [b]) => a - b).map(([, turn]) => turn),
      notes: Object.fromEntries(own.filter((p) => p.note !== '').map((p) => [p.learnerId, p.note])),
    }
  }

  /** Writes a lesson as it is. */
  function write(lesson: Lesson): void {
    const placed = lesson.turns.map((turn, place): Placed => [place, turn])
    const of = (id: string | null): string => JSON.stringify(placed.filter(([, t]) => t.learner === id))
    put.run({ ...lesson, shown: of(null) })
    dropParts.run(lesson.id)
    for (const [place, id] of lesson.learners.entries())
      putPart.run(lesson.id, id, place, of(id), lesson.notes[id] ?? '')
  }
  const found = (id: string): Lesson | undefined => {
    const row = one.get(id)
    return row && read(row)
  }

  return {
    lesson: found,
    /** Lessons from one day to another, in the order of time. */
    lessons: (from: string, to: string): Lesson[] => between.all(from, to).map(read),
    lessonsOf: (learnerId: string): Lesson[] => ofLearner.all(learnerId).map(read),
    /** Keeps a lesson changed from a version (0: new); undefined where it has been changed since, and stays as it is. */
    keepLesson: db.transaction((lesson: Lesson): Lesson | undefined => {
      const there = found(lesson.id)
      return keepVersion(there, { ...lesson, turns: keepingDone(lesson.turns, there?.turns ?? []) }, write)
    }),
    /** Notes that a turn was worked; undefined where the lesson has no such turn. Nobody's changes are overtaken by it. */
    keepTurnDone: db.transaction((id: string, worked: TurnDone, at: string): Lesson | undefined => {
      const there = found(id)
      const turns = there && withDone(there.turns, worked, at)
      if (!there || !turns) return undefined
      const kept = { ...there, turns: [...turns] }
      write(kept)
      return kept
    }),
    /** Notes that the work of a record is to be done again. */
    reopenTurn: db.transaction((id: string, record: string): Lesson | undefined => {
      const there = found(id)
      if (!there) return undefined
      const kept = { ...there, turns: [...withoutDone(there.turns, record)] }
      write(kept)
      return kept
    }),
    removeLesson: (id: string): boolean => remove.run(id).changes > 0,
    removeLessonsBefore: (day: string): number => removeOlder.run(day).changes,
  }
}
