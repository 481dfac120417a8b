/** People who may use Sett, how they are known, and who did what. Codes and sessions are kept as hashes only. */
export default `
CREATE TABLE person (
  id TEXT PRIMARY KEY CHECK (length(id) = 36),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 40),
  folded TEXT NOT NULL UNIQUE,
  role TEXT NOT NULL CHECK (role IN ('keeper', 'teacher', 'helper', 'looker-on')),
  -- Null until the invitation has been taken up.
  passphrase TEXT
) STRICT;

-- A helper sees and notes for these learners only.
CREATE TABLE person_learner (
  person_id TEXT NOT NULL REFERENCES person (id) ON DELETE CASCADE,
  learner_id TEXT NOT NULL REFERENCES learner (id) ON DELETE CASCADE,
  PRIMARY KEY (person_id, learner_id)
) STRICT, WITHOUT ROWID;

CREATE TABLE session (
  token TEXT PRIMARY KEY,
  person_id TEXT NOT NULL REFERENCES person (id) ON DELETE CASCADE,
  began_at INTEGER NOT NULL,
  seen_at INTEGER NOT NULL
) STRICT, WITHOUT ROWID;
CREATE INDEX session_by_person ON session (person_id);

CREATE TABLE invitation (
  code TEXT PRIMARY KEY,
  person_id TEXT NOT NULL REFERENCES person (id) ON DELETE CASCADE,
  ends_at INTEGER NOT NULL
) STRICT, WITHOUT ROWID;

CREATE TABLE happening (
  id INTEGER PRIMARY KEY,
  at INTEGER NOT NULL,
  who TEXT NOT NULL,
  what TEXT NOT NULL,
  about TEXT NOT NULL
) STRICT;
CREATE INDEX happening_by_time ON happening (at);
`
