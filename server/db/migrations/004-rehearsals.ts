/** Answers of rehearsing: the teacher's own (no learner) or a learner's. Everything else is found by replaying them. */
export default `
CREATE TABLE rehearsal (
  id TEXT NOT NULL PRIMARY KEY,
  learner_id TEXT REFERENCES learner (id) ON DELETE CASCADE,
  answered_at INTEGER NOT NULL CHECK (answered_at > 0),
  item TEXT NOT NULL CHECK (length(item) BETWEEN 3 AND 40),
  given TEXT NOT NULL,
  is_right INTEGER NOT NULL CHECK (is_right IN (0, 1)),
  duration_ms INTEGER NOT NULL CHECK (duration_ms >= 0)
) STRICT;
CREATE INDEX rehearsal_by_person ON rehearsal (learner_id, answered_at);
`
