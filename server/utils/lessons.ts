import type { Lesson } from '../../shared/lessons'

/** A lesson as far as somebody may see it who sees only some learners; undefined where none of them comes. */
export function lessonFor(lesson: Lesson, only: readonly string[] | null): Lesson | undefined {
  if (only === null) return lesson
  const sees = (id: string): boolean => only.includes(id)
  const learners = lesson.learners.filter(sees)
  if (learners.length === 0) return undefined
  return {
    ...lesson,
    learners,
    turns: lesson.turns.filter((t) => t.learner === null || sees(t.learner)),
    notes: Object.fromEntries(Object.entries(lesson.notes).filter(([id]) => sees(id))),
  }
}
