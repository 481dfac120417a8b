/**
 * Names compared alike in every script (`fold` is Sett's own function, server/db/open.ts), lists read by index, and what was erased for
 * good: identifiers only, so that an old file or a late retry cannot bring it back.
 */
export default `
ALTER TABLE learner ADD COLUMN folded TEXT NOT NULL DEFAULT '';
UPDATE learner SET folded = fold(code_name);
UPDATE learner SET folded = folded || '#' || id
  WHERE rowid NOT IN (SELECT min(rowid) FROM learner GROUP BY folded);
CREATE UNIQUE INDEX learner_by_name ON learner (folded);

ALTER TABLE record ADD COLUMN material TEXT NOT NULL DEFAULT '';
UPDATE record SET material = json_extract(body, '$.representation');
DROP INDEX record_by_learner;
CREATE INDEX record_by_learner ON record (learner_id, started_at, id);
CREATE INDEX record_by_time ON record (started_at, id);
CREATE INDEX record_by_problem ON record (problem, started_at, id);
CREATE INDEX record_by_material ON record (material, started_at, id);

-- Each slip of a record once, to be found by its name.
CREATE TABLE record_slip (
  slip TEXT NOT NULL,
  started_at TEXT NOT NULL,
  record_id TEXT NOT NULL REFERENCES record (id) ON DELETE CASCADE,
  PRIMARY KEY (slip, started_at, record_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX slip_by_record ON record_slip (record_id);
INSERT OR IGNORE INTO record_slip (slip, started_at, record_id)
  SELECT j.value, r.started_at, r.id FROM record r, json_each(r.slips) j;

CREATE TABLE erased (
  id TEXT PRIMARY KEY,
  kind TEXT NOT NULL CHECK (kind IN ('learner', 'record', 'answer')),
  erased_at INTEGER NOT NULL
) STRICT, WITHOUT ROWID;

CREATE TABLE setting (
  name TEXT PRIMARY KEY,
  value TEXT NOT NULL CHECK (json_valid(value))
) STRICT, WITHOUT ROWID;
`
