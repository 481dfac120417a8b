import type { H3Event } from 'h3'
import type { Lesson } from '../../shared/lessons'
import { isReached, reachOf } from './person'
import { refuse } from './problem'

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

/** Stops where a lesson that is there is not all of it whoever asks reaches: changing it would change what is others'. */
export function mustReachAll(event: H3Event, lesson: Lesson | undefined): void {
  if (!lesson) return void reachOf(event)
  if (!lessonFor(lesson, reachOf(event))) refuse(404, 'There is no such lesson.')
  if (!lesson.learners.every((id) => isReached(event, id)))
    refuse(403, 'Learners of other groups come to this lesson too. Somebody who has all of them can change it.')
}
