/** Print sets that are kept, and lists of problems that were printed, by their codes. Nothing of a learner is in either. */
export default `
CREATE TABLE print_set (
  id TEXT PRIMARY KEY CHECK (length(id) = 36),
  title TEXT NOT NULL,
  body TEXT NOT NULL,
  version INTEGER NOT NULL CHECK (version > 0)
) STRICT;
CREATE INDEX print_set_by_title ON print_set (title, id);
CREATE TABLE printed (
  code TEXT PRIMARY KEY CHECK (length(code) = 11),
  problems TEXT NOT NULL,
  printed_at INTEGER NOT NULL
) STRICT;
`
