/** The first tables: the room, its learners and their records. */
export default `CREATE TABLE classroom (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  words TEXT NOT NULL CHECK (words IN ('exchange', 'regroup'))
) STRICT;

CREATE TABLE learner (
  id TEXT PRIMARY KEY CHECK (length(id) = 36),
  code_name TEXT NOT NULL COLLATE NOCASE UNIQUE CHECK (length(code_name) BETWEEN 1 AND 24),
  position INTEGER NOT NULL
) STRICT;

-- The body is the whole record as JSON; the other columns are what the Daybook lists and sorts by.
CREATE TABLE record (
  id TEXT PRIMARY KEY CHECK (length(id) = 36),
  learner_id TEXT NOT NULL REFERENCES learner (id) ON DELETE CASCADE,
  started_at TEXT NOT NULL,
  duration_ms INTEGER NOT NULL CHECK (duration_ms >= 0),
  problem TEXT NOT NULL,
  mode TEXT NOT NULL CHECK (mode IN ('show', 'together', 'alone')),
  is_right INTEGER NOT NULL CHECK (is_right IN (0, 1)),
  help TEXT NOT NULL CHECK (help IN ('independent', 'pointed', 'spoken', 'shown', 'hand-over-hand')),
  note TEXT NOT NULL CHECK (length(note) <= 2000),
  body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;

CREATE INDEX record_by_learner ON record (learner_id, started_at);
`
