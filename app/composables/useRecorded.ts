import type { Recording } from '../../shared/recordings'
import { request } from '../utils/request'

/** What was recorded for the learner who is at the bench, by its words; asked for when something is first to be said. */
export const useRecorded = createGlobalState(() => {
  const classroom = useClassroom()
  const recordings = shallowRef<readonly Recording[]>([])
  let whose: string | null = null
  async function load(learner: string | null): Promise<void> {
    if (learner === whose) return
    whose = learner
    recordings.value = []
    if (learner === null) return
    const found = await request<readonly Recording[]>(`/api/learners/${learner}/recordings`).catch(() => [])
    if (whose === learner) recordings.value = found
  }
  return {
    recordings,
    known: computed(() => new Map(recordings.value.map((r) => [r.said, r.id]))),
    /** Those of whoever is at the bench. */
    here: (): Promise<void> => load(classroom.learnerId),
    /** After something was recorded or deleted: what there is now. */
    now: (learner: string, all: readonly Recording[]): void => {
      whose = learner
      recordings.value = all
    },
  }
})
