import '../../core/index'
import {
  COURSES,
  courseById,
  shownSteps,
  troublesOfOrder,
  troublesOfStep,
  type Course,
  type Step,
} from '../../core/course/index'
import type { CoursesHere } from '../../shared/courses'
import type { FieldError } from './problem'
import { others } from './progress'
import type { Store } from './store'

const FIRST = COURSES[0]!

/** The course that the room takes: one of the school's own, one that comes with Sett, or the usual one. */
export function chosenCourse(store: Store): Course {
  const id = store.setting('course')
  return (typeof id === 'string' && (store.course(id) ?? courseById(id))) || FIRST
}

export const coursesHere = (store: Store): CoursesHere => ({ chosen: chosenCourse(store).id, own: store.courses() })

let steps: { readonly of: string; readonly all: readonly Step[] } | undefined
/** The steps of the room's course; the same list as long as the course is the same. */
export function stepsHere(store: Store): readonly Step[] {
  const course = chosenCourse(store)
  // By what it says: a backup that was put back may have another course under the same version.
  const of = courseById(course.id) === course ? course.id : JSON.stringify(course)
  if (steps?.of !== of) steps = { of, all: shownSteps(course) }
  return steps.all
}

/**
 * What is wrong with a course, looked for step by step so that others are answered in between; empty where all is well. A course has at
 * most `MOST_STEPS`, and what a step's limits may be is bounded (core/course/setter/limits.ts), so there is an end to it on every machine.
 */
export async function courseTroubles(course: Course): Promise<readonly FieldError[]> {
  const found: FieldError[] = troublesOfOrder(course).map(({ says }) => ({ pointer: '/steps', detail: says }))
  for (const [i, step] of course.steps.entries()) {
    for (const detail of troublesOfStep(step, false)) found.push({ pointer: `/steps/${i}`, detail })
    await others()
  }
  return found.slice(0, 20)
}
