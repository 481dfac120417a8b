/** The class's own notches for touch numerals; no row where the rule stands. */
export default `
CREATE TABLE notch_map (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;
`
