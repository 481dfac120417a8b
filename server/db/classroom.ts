import { learnerChoicesSchema, NO_CHOICES, type KeptLearner } from '../../shared/learners'
import { folded, handsSchema, wordsSchema, type Classroom, type NewLearner } from '../../shared/schemas'
import type { Db } from './open'
import { keepVersion } from './versioned'

interface Row {
  readonly id: string
  readonly codeName: string
  readonly groups: string
  readonly archived: number
  readonly choices: string
  readonly version: number
}
/** What an earlier version kept and this one does not know is left out; the learner stays. */
const choicesIn = (json: string): KeptLearner['choices'] => {
  const read = learnerChoicesSchema.safeParse(JSON.parse(json))
  return read.success ? read.data : NO_CHOICES
}
const read = ({ groups, archived, choices, ...row }: Row): KeptLearner => ({
  ...row,
  groups: JSON.parse(groups) as string[],
  archived: archived === 1,
  choices: choicesIn(choices),
})

/** The classroom and its learners. Statements are prepared once per database. */
export function classroomTable(db: Db) {
  const get = db.prepare<[], Pick<Classroom, 'name'> & { words: string; hands: string }>(
    'SELECT name, words, hands FROM classroom WHERE id = 1',
  )
  const put = db.prepare(
    `INSERT INTO classroom (id, name, words, hands) VALUES (1, @name, @words, @hands)
     ON CONFLICT (id) DO UPDATE SET name = @name, words = @words, hands = @hands`,
  )
  const LEARNER = 'SELECT id, code_name AS codeName, in_groups AS groups, archived, choices, version FROM learner'
  const all = db.prepare<[], Row>(`${LEARNER} ORDER BY position, code_name`)
  const byId = db.prepare<[string], Row>(`${LEARNER} WHERE id = ?`)
  const isThere = db.prepare<[string], number>('SELECT 1 FROM learner WHERE id = ?').pluck()
  const byName = db.prepare<[string], Row>(`${LEARNER} WHERE folded = ?`)
  const byRoster = db.prepare<[string], Row>(`${LEARNER} WHERE roster_id = ?`)
  const insert = db.prepare(
    `INSERT INTO learner (id, code_name, folded, in_groups, position)
     VALUES (@id, @codeName, @folded, @groups, (SELECT coalesce(max(position), 0) + 1 FROM learner))`,
  )
  const rename = db.prepare('UPDATE learner SET code_name = @codeName, folded = @folded WHERE id = @id')
  const change = db.prepare(
    `UPDATE learner SET code_name = @codeName, folded = @folded, in_groups = @groups, archived = @archived,
       choices = @choices, version = @version WHERE id = @id`,
  )
  const enrol = db.prepare<[string, string]>('UPDATE learner SET roster_id = ? WHERE id = ?')
  const withFolded = <T extends NewLearner>(learner: T) => ({ ...learner, folded: folded(learner.codeName) })
  const one = (row: Row | undefined): KeptLearner | undefined => row && read(row)
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
    learners: (): KeptLearner[] => all.all().map(read),
    learner: (id: string): KeptLearner | undefined => one(byId.get(id)),
    hasLearner: (id: string): boolean => isThere.get(id) === 1,
    /** The learner of a code name, however it is written. */
    learnerNamed: (codeName: string): KeptLearner | undefined => one(byName.get(folded(codeName))),
    /** The learner whom a school's list calls so. */
    learnerOnRoster: (rosterId: string): KeptLearner | undefined => one(byRoster.get(rosterId)),
    addLearner: ({ id, codeName }: NewLearner, groups: readonly string[] = []): void =>
      void insert.run({ ...withFolded({ id, codeName }), groups: JSON.stringify(groups) }),
    renameLearner: ({ id, codeName }: NewLearner): void => void rename.run(withFolded({ id, codeName })),
    /** Says by which identifier a school's list knows a learner. */
    enrolLearner: (id: string, rosterId: string): void => void enrol.run(rosterId, id),
    /** Keeps a learner changed from a version; undefined where it has been changed since, and stays as it is. */
    keepLearner: db.transaction((sent: KeptLearner): KeptLearner | undefined => {
      const there = one(byId.get(sent.id))
      if (!there) return undefined
      return keepVersion(there, sent, (kept) =>
        change.run({
          ...withFolded(kept),
          groups: JSON.stringify(kept.groups),
          archived: kept.archived ? 1 : 0,
          choices: JSON.stringify(kept.choices),
        }),
      )
    }),
  }
}
