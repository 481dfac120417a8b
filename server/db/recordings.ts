import type { Recording, SoundType } from '../../shared/recordings'
import type { Db } from './open'

/** A recording with its sound. */
export interface KeptRecording {
  readonly id: string
  readonly learnerId: string
  readonly said: string
  readonly type: SoundType
  readonly audio: Buffer
  readonly madeAt: string
}

/** What was said for learners, as sound. Statements are prepared once per database. */
export function recordingTable(db: Db) {
  const list = db.prepare<[string], Recording>(
    `SELECT id, said, length(audio) AS bytes, made_at AS madeAt FROM recording WHERE learner_id = ? ORDER BY said`,
  )
  const one = db.prepare<[string], KeptRecording>(
    `SELECT id, learner_id AS learnerId, said, media_type AS type, audio, made_at AS madeAt FROM recording WHERE id = ?`,
  )
  const count = db
    .prepare<[{ learnerId: string; said: string }], number>(
      'SELECT count(*) FROM recording WHERE learner_id = @learnerId AND said <> @said',
    )
    .pluck()
  const drop = db.prepare('DELETE FROM recording WHERE learner_id = @learnerId AND said = @said')
  const put = db.prepare(
    `INSERT INTO recording (id, learner_id, said, media_type, audio, made_at)
     VALUES (@id, @learnerId, @said, @type, @audio, @madeAt)`,
  )
  const remove = db.prepare<[string]>('DELETE FROM recording WHERE id = ?')
  return {
    recordings: (learner: string): readonly Recording[] => list.all(learner),
    recording: (id: string): KeptRecording | undefined => one.get(id),
    /** How many a learner has of other words than these. */
    otherRecordings: (learnerId: string, said: string): number => count.get({ learnerId, said })!,
    /** Keeps a recording in the place of an earlier one of the same words. */
    keepRecording: db.transaction((kept: KeptRecording): void => {
      drop.run({ learnerId: kept.learnerId, said: kept.said })
      put.run(kept)
    }),
    removeRecording: (id: string): boolean => remove.run(id).changes > 0,
  }
}
