/** What teachers say, or a placement found, of the steps that a learner knows or does not know yet: one word for each step, the latest. */
export default `
CREATE TABLE told_step (
  learner_id TEXT NOT NULL REFERENCES learner (id) ON DELETE CASCADE,
  step TEXT NOT NULL,
  knows INTEGER NOT NULL CHECK (knows IN (0, 1)),
  placed INTEGER NOT NULL CHECK (placed IN (0, 1)),
  told_at TEXT NOT NULL,
  told_by TEXT NOT NULL,
  PRIMARY KEY (learner_id, step)
) WITHOUT ROWID;
`
