/**
 * What suits a learner, the groups they are in, and whether they are put away; the school's own identifier of those that came from its
 * list. What the Daybook is narrowed by besides, days counted by index alone, and moments of work that were chosen to be shown.
 */
export default `
ALTER TABLE learner ADD COLUMN in_groups TEXT NOT NULL DEFAULT '[]';
ALTER TABLE learner ADD COLUMN archived INTEGER NOT NULL DEFAULT 0;
ALTER TABLE learner ADD COLUMN choices TEXT NOT NULL DEFAULT '{}';
ALTER TABLE learner ADD COLUMN version INTEGER NOT NULL DEFAULT 0;
ALTER TABLE learner ADD COLUMN roster_id TEXT;
CREATE UNIQUE INDEX learner_by_roster ON learner (roster_id) WHERE roster_id IS NOT NULL;

ALTER TABLE record ADD COLUMN way TEXT NOT NULL DEFAULT '';
UPDATE record SET way = coalesce(json_extract(body, '$.way'), '');
CREATE INDEX record_by_way ON record (way, started_at, id);
CREATE INDEX record_by_help ON record (help, started_at, id);
CREATE INDEX trial_by_help ON trial (help, started_at, id);
CREATE INDEX record_days ON record (learner_id, started_at, is_right, help, material, problem, duration_ms);
CREATE INDEX trial_days ON trial (learner_id, started_at, is_right, help, material, problem, duration_ms, kind, step);

CREATE TABLE moment (
  record_id TEXT PRIMARY KEY REFERENCES record (id) ON DELETE CASCADE,
  learner_id TEXT NOT NULL REFERENCES learner (id) ON DELETE CASCADE,
  started_at TEXT NOT NULL,
  word TEXT NOT NULL CHECK (length(word) <= 200)
) STRICT, WITHOUT ROWID;
CREATE INDEX moment_by_learner ON moment (learner_id, started_at, record_id);
`
