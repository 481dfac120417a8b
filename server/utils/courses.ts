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

/** How long looking a course through may take before it is let be, in milliseconds. */
const MOST_MS = 8000
const breath = (): Promise<void> => new Promise((resolve) => setImmediate(resolve))

/** What is wrong with a course, looked for step by step so that others are answered in between; empty where all is well. */
export async function courseTroubles(course: Course): Promise<readonly FieldError[]> {
  const found: FieldError[] = troublesOfOrder(course).map(({ says }) => ({ pointer: '/steps', detail: says }))
  const began = performance.now()
  for (const [i, step] of course.steps.entries()) {
    for (const detail of troublesOfStep(step, false)) found.push({ pointer: `/steps/${i}`, detail })
    await breath()
    if (performance.now() - began > MOST_MS)
      return [{ pointer: '/steps', detail: 'It takes too long to look this course through: its limits are too wide.' }]
  }
  return found.slice(0, 20)
}
