import { folded, handsSchema, wordsSchema, type Classroom, type Learner } from '../../shared/schemas'
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
  const LEARNER = 'SELECT id, code_name AS codeName FROM learner'
  const all = db.prepare<[], Learner>(`${LEARNER} ORDER BY position, code_name`)
  const byId = db.prepare<[string], Learner>(`${LEARNER} WHERE id = ?`)
  const byName = db.prepare<[string], Learner>(`${LEARNER} WHERE folded = ?`)
  const insert = db.prepare(
    `INSERT INTO learner (id, code_name, folded, position)
     VALUES (@id, @codeName, @folded, (SELECT coalesce(max(position), 0) + 1 FROM learner))`,
  )
  const rename = db.prepare('UPDATE learner SET code_name = @codeName, folded = @folded WHERE id = @id')
  const withFolded = (learner: Learner) => ({ ...learner, folded: folded(learner.codeName) })
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
    /** The learner of a code name, however it is written. */
    learnerNamed: (codeName: string): Learner | undefined => byName.get(folded(codeName)),
    addLearner: (learner: Learner): void => void insert.run(withFolded(learner)),
    renameLearner: (learner: Learner): void => void rename.run(withFolded(learner)),
  }
}
