/**
 * The groups whose learners a person reaches (null for all learners; a helper has the learners given besides), and how often somebody has
 * signed in wrongly, under digests of who and from where.
 */
export default `
ALTER TABLE person ADD COLUMN in_groups TEXT CHECK (in_groups IS NULL OR json_valid(in_groups));
UPDATE person SET in_groups = '[]' WHERE role = 'helper';
CREATE TABLE sign_in (
  key TEXT PRIMARY KEY,
  wrong INTEGER NOT NULL CHECK (wrong >= 0),
  tried_at INTEGER NOT NULL,
  -- When it was last right; null where it never was.
  right_at INTEGER
) STRICT, WITHOUT ROWID;
`
