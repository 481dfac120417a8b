/**
 * A checksum over what is kept of a record and of a trial, by which a flipped byte is found (\`sum_of\` is Sett's own function,
 * server/db/open.ts), and whether a record has been looked through: 1 where it has, 0 where it is kept as it came and waits, 2 where it
 * cannot be worked as it says.
 */
export default `
ALTER TABLE record ADD COLUMN looked INTEGER NOT NULL DEFAULT 1 CHECK (looked IN (0, 1, 2));
CREATE INDEX record_to_look_at ON record (id) WHERE looked = 0;
ALTER TABLE record ADD COLUMN body_sum INTEGER NOT NULL DEFAULT 0;
ALTER TABLE trial ADD COLUMN body_sum INTEGER NOT NULL DEFAULT 0;
UPDATE record SET body_sum = sum_of(id, learner_id, started_at, is_right, help, note, body);
UPDATE trial SET body_sum = sum_of(id, learner_id, started_at, is_right, help, note, body);
`
