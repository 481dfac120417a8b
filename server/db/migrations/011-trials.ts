/** What was tried besides work at the Bench: stories that were worked, and trials noted at the table; their own parts are JSON. Goals and decisions. */
export default `
CREATE TABLE trial (
  id TEXT PRIMARY KEY CHECK (length(id) = 36),
  learner_id TEXT NOT NULL REFERENCES learner (id) ON DELETE CASCADE,
  started_at TEXT NOT NULL CHECK (started_at LIKE '____-__-__T%Z'),
  duration_ms INTEGER NOT NULL CHECK (duration_ms >= 0),
  kind TEXT NOT NULL CHECK (kind IN ('story', 'table', 'note')),
  problem TEXT NOT NULL,
  step TEXT NOT NULL,
  material TEXT NOT NULL,
  mode TEXT NOT NULL,
  is_right INTEGER NOT NULL CHECK (is_right IN (0, 1)),
  help TEXT NOT NULL,
  note TEXT NOT NULL,
  slips TEXT NOT NULL,
  body TEXT NOT NULL
) STRICT;
CREATE INDEX trial_by_learner ON trial (learner_id, started_at, id);
CREATE INDEX trial_by_time ON trial (started_at, id);
CREATE INDEX trial_by_problem ON trial (problem, started_at, id);
CREATE INDEX trial_by_material ON trial (material, started_at, id);
CREATE TABLE trial_slip (
  slip TEXT NOT NULL,
  started_at TEXT NOT NULL,
  trial_id TEXT NOT NULL REFERENCES trial (id) ON DELETE CASCADE,
  PRIMARY KEY (slip, started_at, trial_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX trial_slip_by_trial ON trial_slip (trial_id);

-- What learners are to reach, and what was decided about what the figures suggested; both are JSON.
CREATE TABLE goal (
  id TEXT PRIMARY KEY CHECK (length(id) = 36),
  learner_id TEXT NOT NULL REFERENCES learner (id) ON DELETE CASCADE,
  body TEXT NOT NULL,
  version INTEGER NOT NULL CHECK (version > 0)
) STRICT;
CREATE INDEX goal_by_learner ON goal (learner_id, id);
CREATE TABLE decision (
  id TEXT PRIMARY KEY CHECK (length(id) = 36),
  learner_id TEXT NOT NULL REFERENCES learner (id) ON DELETE CASCADE,
  made_at TEXT NOT NULL CHECK (made_at LIKE '____-__-__T%Z'),
  body TEXT NOT NULL
) STRICT;
CREATE INDEX decision_by_learner ON decision (learner_id, made_at, id);
`
