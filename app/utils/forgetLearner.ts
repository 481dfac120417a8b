import type { PrintPlan } from '../composables/usePrintPlan'
import type { Lesson } from '../../shared/lessons'
import type { Queued } from './queued'

/** What this browser still holds of lessons, without one learner; a lesson to which nobody comes any more goes. */
export function lessonsWithout(
  lessons: Readonly<Record<string, Lesson>>,
  learner: string,
): Readonly<Record<string, Lesson>> {
  const left = Object.entries(lessons).flatMap(([id, lesson]): [string, Lesson][] => {
    const learners = lesson.learners.filter((l) => l !== learner)
    if (learners.length === 0) return []
    const { [learner]: _, ...notes } = lesson.notes
    return [[id, { ...lesson, learners, notes, turns: lesson.turns.filter((t) => t.learner !== learner) }]]
  })
  return Object.fromEntries(left)
}

/** Problems that wait at the Bench, without those for one learner. */
export const waitingWithout = (queue: readonly Queued[], learner: string): readonly Queued[] =>
  queue.filter((w) => w.learner !== learner)

/** A print that is being put together, without one learner; what it had before too. */
export function printWithout(plan: PrintPlan, id: string): PrintPlan {
  const learners = plan.learners.filter((l) => l !== id)
  return { ...plan, learners, before: plan.before && printWithout(plan.before, id) }
}
