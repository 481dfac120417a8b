/** A school's own courses, and lessons. What of a lesson is one learner's hangs on the learner, so that it goes with them. */
export default `
CREATE TABLE course (
  id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 1 AND 60),
  body TEXT NOT NULL,
  version INTEGER NOT NULL CHECK (version > 0)
) STRICT;
CREATE TABLE lesson (
  id TEXT PRIMARY KEY CHECK (length(id) = 36),
  on_day TEXT NOT NULL CHECK (on_day LIKE '____-__-__'),
  at_time TEXT NOT NULL CHECK (at_time LIKE '__:__'),
  minutes INTEGER NOT NULL CHECK (minutes > 0),
  -- Problems that all look at, each with its place in the lesson.
  shown TEXT NOT NULL,
  words TEXT NOT NULL,
  version INTEGER NOT NULL CHECK (version > 0)
) STRICT;
CREATE INDEX lesson_by_day ON lesson (on_day, at_time, id);
CREATE TABLE lesson_learner (
  lesson_id TEXT NOT NULL REFERENCES lesson (id) ON DELETE CASCADE,
  learner_id TEXT NOT NULL REFERENCES learner (id) ON DELETE CASCADE,
  place INTEGER NOT NULL,
  turns TEXT NOT NULL,
  note TEXT NOT NULL,
  PRIMARY KEY (lesson_id, learner_id)
) STRICT;
CREATE INDEX lesson_by_learner ON lesson_learner (learner_id, lesson_id);
`
