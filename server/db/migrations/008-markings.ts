/** Pages of a learner's answers that were marked, and what they said; the items and what was said are JSON. */
export default `
CREATE TABLE marking (
  id TEXT PRIMARY KEY CHECK (length(id) = 36),
  learner_id TEXT NOT NULL REFERENCES learner (id) ON DELETE CASCADE,
  marked_at TEXT NOT NULL CHECK (marked_at LIKE '____-__-__T%Z'),
  worked_with TEXT NOT NULL,
  items TEXT NOT NULL,
  said TEXT NOT NULL,
  -- Why a teacher withdrew it; null while it stands.
  withdrawn TEXT CHECK (withdrawn IS NULL OR length(withdrawn) BETWEEN 1 AND 200)
) STRICT;
CREATE INDEX marking_by_learner ON marking (learner_id, marked_at, id);
CREATE INDEX marking_by_time ON marking (marked_at);
`
