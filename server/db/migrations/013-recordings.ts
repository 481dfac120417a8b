/** Words and sentences that a teacher has said for a learner, as sound. */
export default `
CREATE TABLE recording (
  id TEXT PRIMARY KEY,
  learner_id TEXT NOT NULL REFERENCES learner (id) ON DELETE CASCADE,
  said TEXT NOT NULL CHECK (length(said) BETWEEN 1 AND 200),
  media_type TEXT NOT NULL,
  audio BLOB NOT NULL CHECK (length(audio) <= 400000),
  made_at TEXT NOT NULL,
  UNIQUE (learner_id, said)
) STRICT, WITHOUT ROWID;
`
