/** A room's words are chosen one by one and kept as JSON; the two ready sets of before become theirs. */
export default `
CREATE TABLE room (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  words TEXT NOT NULL CHECK (json_valid(words)),
  hands TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(hands))
) STRICT;
INSERT INTO room (id, name, words, hands)
  SELECT id, name, json_quote(words), hands FROM classroom;
DROP TABLE classroom;
ALTER TABLE room RENAME TO classroom;
`
