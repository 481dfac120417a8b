import { handsSchema, wordsSchema, type Classroom, type Learner } from '../../shared/schemas'
import type { Db } from './open'

/** The classroom and its learners. Statements are prepared once per database. */
export function classroomTable(db: Db) {
  const get = db.prepare<[], Pick<Classroom, 'name'> & { words: string; hands: string }>(
    'SELECT name, words, hands FROM classroom WHERE id = 1',
  )
  const put = db.prepare(
    `INSERT INTO classroom (id, name, words, hands) VALUES (1, @name, @words, @hands)
     ON CONFLICT (id) DO UPDATE SET name = @name, words = @words, hands = @hands`,
  )
  const all = db.prepare<[], Learner>('SELECT id, code_name AS codeName FROM learner ORDER BY position, code_name')
  const byId = db.prepare<[string], Learner>('SELECT id, code_name AS codeName FROM learner WHERE id = ?')
  const byName = db.prepare<[string], Learner>('SELECT id, code_name AS codeName FROM learner WHERE code_name = ?')
  const insert = db.prepare<[Learner]>(
    'INSERT INTO learner (id, code_name, position) VALUES (@id, @codeName, (SELECT coalesce(max(position), 0) + 1 FROM learner))',
  )
  const rename = db.prepare<[Learner]>('UPDATE learner SET code_name = @codeName WHERE id = @id')
  const remove = db.prepare<[string]>('DELETE FROM learner WHERE id = ?')
  return {
    classroom: (): Classroom | undefined => {
      const row = get.get()
      if (!row) return undefined
      const [words, hands] = [wordsSchema.parse(JSON.parse(row.words)), handsSchema.parse(JSON.parse(row.hands))]
      return { name: row.name, words, hands }
    },
    setClassroom: (classroom: Classroom): void =>
      void put.run({
        name: classroom.name,
        words: JSON.stringify(classroom.words),
        hands: JSON.stringify(classroom.hands),
      }),
    learners: (): Learner[] => all.all(),
    learner: (id: string): Learner | undefined => byId.get(id),
    learnerNamed: (codeName: string): Learner | undefined => byName.get(codeName),
    addLearner: (learner: Learner): void => void insert.run(learner),
    renameLearner: (learner: Learner): void => void rename.run(learner),
    removeLearner: (id: string): boolean => remove.run(id).changes > 0,
  }
}
