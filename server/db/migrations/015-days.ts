/**
 * The school's own day of everything that was tried (\`school_day\` is Sett's own function, server/db/open.ts), and slips found by learner.
 */
export default `
DROP INDEX record_days;
DROP INDEX trial_days;
DROP INDEX rehearsal_by_person;
ALTER TABLE record ADD COLUMN on_day TEXT NOT NULL DEFAULT '';
ALTER TABLE trial ADD COLUMN on_day TEXT NOT NULL DEFAULT '';
ALTER TABLE rehearsal ADD COLUMN on_day TEXT NOT NULL DEFAULT '';
UPDATE record SET on_day = school_day(started_at);
UPDATE trial SET on_day = school_day(started_at);
UPDATE rehearsal SET on_day = school_day(answered_at);
CREATE INDEX record_days ON record (learner_id, on_day, started_at, is_right, help, material, problem, duration_ms);
CREATE INDEX trial_days ON trial (learner_id, on_day, is_right, help, material, problem, duration_ms, kind, step);
CREATE INDEX rehearsal_by_person ON rehearsal (learner_id, answered_at, id);
CREATE INDEX rehearsal_days ON rehearsal (learner_id, on_day, is_right, duration_ms);

ALTER TABLE record_slip ADD COLUMN learner_id TEXT NOT NULL DEFAULT '';
ALTER TABLE record_slip ADD COLUMN on_day TEXT NOT NULL DEFAULT '';
UPDATE record_slip SET (learner_id, on_day) = (SELECT learner_id, on_day FROM record WHERE id = record_id);
CREATE INDEX slip_by_learner ON record_slip (learner_id, slip, started_at, record_id, on_day);
ALTER TABLE trial_slip ADD COLUMN learner_id TEXT NOT NULL DEFAULT '';
ALTER TABLE trial_slip ADD COLUMN on_day TEXT NOT NULL DEFAULT '';
UPDATE trial_slip SET (learner_id, on_day) = (SELECT learner_id, on_day FROM trial WHERE id = trial_id);
CREATE INDEX trial_slip_by_learner ON trial_slip (learner_id, slip, started_at, trial_id, on_day);
`
