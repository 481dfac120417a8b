import type { Recording } from '../../shared/recordings'
import { request } from '../utils/request'

/** What was recorded for the learner who is at the bench, by its words; asked for when something is first to be said. */
export const useRecorded = createGlobalState(() => {
  const classroom = useClassroom()
  const recordings = shallowRef<readonly Recording[]>([])
  let whose: string | null = null
  let asked = Promise.resolve()
  async function fetchOf(learner: string | null): Promise<void> {
    recordings.value = []
    if (learner === null) return
    try {
      const found = await request<readonly Recording[]>(`/api/learners/${learner}/recordings`)
      if (whose === learner) recordings.value = found
    } catch {
      // The browser's voice says it now; the next time they are asked for again.
      if (whose === learner) whose = null
    }
  }
  /** Those of a learner; whoever asks while they are on their way waits for the same answer. */
  function load(learner: string | null): Promise<void> {
    if (learner !== whose) {
      whose = learner
      asked = fetchOf(learner)
    }
    return asked
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
