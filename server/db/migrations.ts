import first from './migrations/001-first'
import handsAndSlips from './migrations/002-hands-slips'
import notches from './migrations/003-notches'
import rehearsals from './migrations/004-rehearsals'
import words from './migrations/005-words'
import school from './migrations/006-school'
import people from './migrations/007-people'
import markings from './migrations/008-markings'
import courses from './migrations/009-courses'
import prints from './migrations/010-prints'
import trials from './migrations/011-trials'
import learners from './migrations/012-learners'
import recordings from './migrations/013-recordings'
import groups from './migrations/014-groups'
import days from './migrations/015-days'
import sums from './migrations/016-sums'
import told from './migrations/017-told'

/** All migrations in order; a database's user_version is how many of them it has had. */
export const MIGRATIONS: readonly string[] = [
  first,
  handsAndSlips,
  notches,
  rehearsals,
  words,
  school,
  people,
  markings,
  courses,
  prints,
  trials,
  learners,
  recordings,
  groups,
  days,
  sums,
  told,
]
