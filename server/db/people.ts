import type { Happening, Person } from '../../shared/people'
import { folded } from '../../shared/schemas'
import type { Role } from '../../shared/roles'
import type { Db } from './open'

/** A person as Sett knows them at the door. */
export interface Known extends Person {
  /** The hash of the passphrase; null until the invitation has been taken up. */
  readonly passphrase: string | null
}

/** People, their sessions and invitations, and what happened. Tokens and codes come in as hashes. Statements are prepared once per database. */
export function peopleTable(db: Db) {
  const PERSON = 'SELECT id, name, role, passphrase, in_groups AS groups FROM person'
  type Row = Omit<Known, 'learners' | 'waiting' | 'groups'> & { readonly groups: string | null }
  const all = db.prepare<[], Row>(`${PERSON} ORDER BY name`)
  const byId = db.prepare<[string], Row>(`${PERSON} WHERE id = ?`)
  const byName = db.prepare<[string], Row>(`${PERSON} WHERE folded = ?`)
  const keepers = db.prepare<[], number>("SELECT count(*) FROM person WHERE role = 'keeper'").pluck()
  const insert = db.prepare(
    'INSERT INTO person (id, name, folded, role, in_groups) VALUES (@id, @name, @folded, @role, @groups)',
  )
  const setRole = db.prepare<[Role, string | null, string]>('UPDATE person SET role = ?, in_groups = ? WHERE id = ?')
  const setPass = db.prepare<[string, string]>('UPDATE person SET passphrase = ? WHERE id = ?')
  const remove = db.prepare<[string]>('DELETE FROM person WHERE id = ?')
  const dropSearches = db.prepare<[string]>('DELETE FROM setting WHERE name = ?')
  const given = db.prepare<[string], string>('SELECT learner_id FROM person_learner WHERE person_id = ?').pluck()
  const takeAll = db.prepare<[string]>('DELETE FROM person_learner WHERE person_id = ?')
  const give = db.prepare<[string, string]>(
    'INSERT OR IGNORE INTO person_learner (person_id, learner_id) VALUES (?, ?)',
  )
  const begin = db.prepare(
    'INSERT INTO session (token, person_id, began_at, seen_at) VALUES (@token, @person, @at, @at)',
  )
  const session = db.prepare<[string, number, number], { personId: string; seenAt: number }>(
    'SELECT person_id AS personId, seen_at AS seenAt FROM session WHERE token = ? AND began_at > ? AND seen_at > ?',
  )
  const see = db.prepare<[number, string]>('UPDATE session SET seen_at = ? WHERE token = ?')
  const end = db.prepare<[string]>('DELETE FROM session WHERE token = ?')
  const endAll = db.prepare<[string]>('DELETE FROM session WHERE person_id = ?')
  const invite = db.prepare('INSERT INTO invitation (code, person_id, ends_at) VALUES (@code, @person, @endsAt)')
  const uninvite = db.prepare<[string]>('DELETE FROM invitation WHERE person_id = ?')
  const invited = db
    .prepare<[string, number], string>('SELECT person_id FROM invitation WHERE code = ? AND ends_at > ?')
    .pluck()
  const takeUp = db.prepare<[string, number]>('DELETE FROM invitation WHERE code = ? AND ends_at > ?')
  const reached = db
    .prepare<[{ groups: string; given: string }], string>(
      `SELECT id FROM learner WHERE id IN (SELECT value FROM json_each(@given))
         OR EXISTS (SELECT 1 FROM json_each(learner.in_groups) g WHERE g.value IN (SELECT value FROM json_each(@groups)))`,
    )
    .pluck()
  const note = db.prepare('INSERT INTO happening (at, who, what, about) VALUES (@at, @who, @what, @about)')
  const notes = db.prepare<[number, number], Happening>(
    'SELECT id, at, who, what, about FROM happening WHERE id < ? ORDER BY id DESC LIMIT ?',
  )
  const forget = db.prepare<[number]>('DELETE FROM happening WHERE at < ?')
  const whole = (row: Row): Known => ({
    ...row,
    groups: row.groups === null ? null : (JSON.parse(row.groups) as string[]),
    learners: given.all(row.id),
    waiting: row.passphrase === null,
  })
  return {
    people: (): readonly Known[] => all.all().map(whole),
    person: (id: string): Known | undefined => {
      const row = byId.get(id)
      return row && whole(row)
    },
    personNamed: (name: string): Known | undefined => {
      const row = byName.get(folded(name))
      return row && whole(row)
    },
    /** Whether there is anybody who lets others in. */
    hasKeeper: (): boolean => keepers.get()! > 0,
    keepers: (): number => keepers.get()!,
    /** Adds a person, with the groups (null: all learners) and the learners given to them. */
    addPerson: db.transaction(
      ({ id, name, role, groups, learners }: Pick<Person, 'id' | 'name' | 'role' | 'groups' | 'learners'>): void => {
        insert.run({ id, name, folded: folded(name), role, groups: groups && JSON.stringify(groups) })
        for (const learner of learners) give.run(id, learner)
      },
    ),
    /** The learners whom somebody reaches through groups, or has been given by themselves. */
    reachedBy: (groups: readonly string[], given: readonly string[]): readonly string[] =>
      reached.all({ groups: JSON.stringify(groups), given: JSON.stringify(given) }),
    /** Changes what a person may do; whoever was signed in as them has to sign in anew. */
    setRole: db.transaction(
      (id: string, role: Role, groups: readonly string[] | null, learners: readonly string[]): void => {
        setRole.run(role, groups && JSON.stringify(groups), id)
        takeAll.run(id)
        for (const learner of learners) give.run(id, learner)
        endAll.run(id)
      },
    ),
    /** Takes a person out, with what they had searched for. */
    removePerson: db.transaction((id: string): void => {
      remove.run(id)
      dropSearches.run(`searches/${id}`)
    }),
    /** Sets a passphrase's hash: the invitation is used up, and every session ends. */
    setPassphrase: db.transaction((id: string, hash: string): void => {
      setPass.run(hash, id)
      uninvite.run(id)
      endAll.run(id)
    }),
    /** One invitation a person at a time. */
    invite: db.transaction((person: string, code: string, endsAt: number): void => {
      uninvite.run(person)
      invite.run({ person, code, endsAt })
    }),
    invited: (code: string, now: number): string | undefined => invited.get(code, now),
    /** Takes a code up and sets its owner's passphrase, in one step; false where it was taken up before. Every session of theirs ends. */
    takeUp: db.transaction((code: string, id: string, hash: string, now: number): boolean => {
      if (takeUp.run(code, now).changes === 0) return false
      setPass.run(hash, id)
      uninvite.run(id)
      endAll.run(id)
      return true
    }),
    beginSession: (person: string, token: string, at: number): void => void begin.run({ person, token, at }),
    /** Whose session a token is, where it began and was seen after these times. */
    sessionOf: (token: string, beganAfter: number, seenAfter: number) => session.get(token, beganAfter, seenAfter),
    seen: (token: string, at: number): void => void see.run(at, token),
    endSession: (token: string): void => void end.run(token),
    endSessions: (person: string): void => void endAll.run(person),
    /** Notes who did what. */
    note: (happening: Omit<Happening, 'id'>): void => void note.run(happening),
    happenings: (before: number, limit: number): readonly Happening[] => notes.all(before, limit),
    forgetHappenings: (before: number): void => void forget.run(before),
  }
}
